<?php

declare(strict_types=1);

namespace Tests\fresh;

use PHPUnit\Framework\Attributes\Depends;
use PHPUnit\Framework\TestCase;

/** Every first command, on a machine that never saw the project, in the order in which less and less is missing. */
final class FreshMachineTest extends TestCase
{
    private const PORT = 8396;
    private const RECIPE = 'printf "# Dip\n\n5 tbsp fish sauce\n3 tbsp sugar\njuice of 1 lime\n" > /tmp/dip.txt';

    private static Box $box;

    public static function setUpBeforeClass(): void
    {
        self::$box = new Box();
        self::$box->run(self::RECIPE);
    }

    public static function tearDownAfterClass(): void
    {
        self::$box->close();
    }

    public function test_a_recipe_is_balanced_though_nothing_is_installed(): void
    {
        [$code, $said] = self::$box->run('./vinculum balance /tmp/dip.txt --json');

        self::assertSame(0, $code, $said);
        self::assertCount(3, json_decode($said, true)['lines'] ?? []);
        self::assertSame(0, self::$box->run('./vinculum styles')[0]);
        self::assertFileMissing('storage/logs');
    }

    public function test_doctor_says_what_is_missing_and_changes_nothing(): void
    {
        [$code, $said] = self::$box->run('./vinculum doctor');

        self::assertSame(1, $code, $said);
        self::assertStringContainsString('PHP lacks pdo_sqlite', $said);
        self::assertFileMissing('vendor');
    }

    public function test_who_may_not_install_is_told_the_packages_in_one_line(): void
    {
        foreach (['start --port ' . self::PORT, 'test --core', 'backup'] as $call) {
            [$code, $said] = self::asNobody("./vinculum {$call}");
            self::assertSame(1, $code, $said);
            self::assertMatchesRegularExpression(
                '/^vinculum: please install these packages first: apt-get install .*php8\.2-sqlite3[^\n]*$/',
                $said,
            );
        }
        self::assertSame(0, self::asNobody('./vinculum balance /tmp/dip.txt')[0]);
    }

    public function test_without_php_itself_its_package_is_named(): void
    {
        $without = 'mkdir -p /tmp/few && for one in bash env git id dirname sed flock mkdir cat tail grep cut tr apt-get; do ln -sf "$(command -v $one)" /tmp/few/$one; done; chmod 755 /tmp/few; ';
        self::$box->run($without);
        foreach (['balance /tmp/dip.txt', 'start --port ' . self::PORT, 'backup'] as $call) {
            [$code, $said] = self::asNobody("PATH=/tmp/few ./vinculum {$call}");
            self::assertSame(1, $code, $said);
            self::assertMatchesRegularExpression(
                '/^vinculum: please install these packages first: apt-get install php8\.2-cli[^\n]*$/',
                $said,
            );
        }
    }

    public function test_without_a_network_it_says_so(): void
    {
        [$code, $said] = self::$box->run('unshare --net ./vinculum start --port ' . self::PORT);

        self::assertSame(1, $code, $said);
        self::assertStringContainsString('there seems to be no network', $said);
        self::assertStringContainsString('php8.2-sqlite3', $said);
    }

    public function test_a_backup_as_first_command_installs_what_it_needs_and_says_that_there_is_nothing_to_copy(): void
    {
        [$code, $said] = self::$box->run('./vinculum backup');

        self::assertSame(2, $code, $said);
        self::assertStringContainsString('there is no kitchen to copy yet', $said);
    }

    #[Depends('test_a_backup_as_first_command_installs_what_it_needs_and_says_that_there_is_nothing_to_copy')]
    public function test_a_node_that_is_too_old_or_missing_is_said(): void
    {
        self::$box->run(
            'mkdir -p /tmp/old && printf "#!/bin/sh\n[ \"\$1\" = --version ] && echo v18.19.0 || exit 1\n" > /tmp/old/node && chmod -R 755 /tmp/old',
        );
        [$code, $said] = self::$box->run('PATH=/tmp/old:$PATH ./vinculum start --port ' . self::PORT);
        self::assertSame(1, $code, $said);
        self::assertStringContainsString('this is Node.js v18.19.0, and 20.19 or newer is needed', $said);
        [$code, $said] = self::$box->run(
            'mkdir -p /tmp/no-node && for one in $(ls /usr/bin /bin | sort -u); do case $one in node|nodejs|npm|npx) ;; *) ln -sf $(PATH=/usr/bin:/bin command -v $one) /tmp/no-node/ ;; esac; done; PATH=/tmp/no-node ./vinculum start --port '
                . self::PORT,
        );
        self::assertSame(1, $code, $said);
        self::assertStringContainsString('Node.js is missing', $said);
    }

    #[Depends('test_a_node_that_is_too_old_or_missing_is_said')]
    public function test_start_installs_builds_and_serves_the_demo_kitchen(): void
    {
        [$code, $said] = self::$box->run(self::started(300));
        self::assertSame(0, $code, $said);
        $address = 'http://127.0.0.1:' . self::PORT;
        self::assertStringContainsString("Vinculum is at {$address}", $said);
        [, $page] = self::$box->run(self::get("{$address}/"));
        preg_match('~/build/assets/[\w.-]+\.js~', $page, $script);
        self::assertNotEmpty($script, $page);
        self::assertGreaterThan(
            10_000,
            (int) self::$box->run(self::get($address . $script[0]) . ' | wc -c')[1],
            'the script of the page',
        );
        self::assertStringContainsString('Damson', self::$box->run(self::get("{$address}/api/sauces"))[1]);
        [, $balance] = self::$box->run(
            "php -r 'echo file_get_contents(\"{$address}/api/balance\", false, stream_context_create([\"http\" => [\"method\" => \"POST\", \"header\" => \"Content-Type: application/json\", \"content\" => json_encode([\"lines\" => [\"100 g sugar\", \"5 g salt\"]])]]));'",
        );
        self::assertEqualsWithDelta(
            100.0,
            json_decode($balance, true)['lines'][0]['grams']['value'] ?? null,
            0.1,
            $balance,
        );
        self::assertStringContainsString('The kitchen is copied to', self::$box->run('./vinculum backup')[1]);
    }

    #[Depends('test_start_installs_builds_and_serves_the_demo_kitchen')]
    public function test_ctrl_c_leaves_nothing_and_a_second_start_makes_nothing_anew(): void
    {
        self::$box->run(
            'kill -INT $(pgrep -f bin/server.php); for wait in $(seq 60); do pgrep -f bin/server.php >/dev/null || break; sleep 0.1; done',
        );
        self::assertSame('', self::$box->run('pgrep -a php')[1], 'no process is left');
        [$code, $said] = self::$box->run(self::started(10));
        self::assertSame(0, $code, $said);
        self::assertDoesNotMatchRegularExpression('/installing|building|packing/', $said, 'all is there from the first time');
        self::$box->run('kill -INT $(pgrep -f bin/server.php)');
    }

    private static function started(int $seconds): string
    {
        return './vinculum start --port '
            . self::PORT
            . ' > /tmp/said 2>&1 & for wait in $(seq '
            . 10 * $seconds
            . '); do grep -q "Vinculum is at" /tmp/said && break; kill -0 $! 2>/dev/null || break; sleep 0.1; done; cat /tmp/said; grep -q "Vinculum is at" /tmp/said';
    }

    private static function get(string $address): string
    {
        return "php -r 'echo file_get_contents(\"{$address}\");'";
    }

    /** @return array{int, string} */
    private static function asNobody(string $command): array
    {
        return self::$box->run('setpriv --reuid=65534 --regid=65534 --clear-groups env HOME=/tmp ' . $command);
    }

    private static function assertFileMissing(string $file): void
    {
        self::assertSame('missing', self::$box->run("[ -e {$file} ] && echo there || echo missing")[1], $file);
    }
}
