<?php

declare(strict_types=1);

namespace Tests\http;

use App\Server\CaddyConfig;
use App\Server\FpmConfig;
use App\Server\PhpSettings;
use App\Server\ProcessTable;
use App\Server\ServerPlan;
use PHPUnit\Framework\TestCase;

/** What the servers are told: which ports are whose, and that odd names stay names. */
final class ServersTest extends TestCase
{
    public function test_without_the_home_network_only_this_machine_is_served(): void
    {
        $told = self::told([]);
        self::assertSame(['here'], array_keys($told['apps']['http']['servers']));
        self::assertSame(['127.0.0.1:8080'], $told['apps']['http']['servers']['here']['listen']);
        self::assertArrayNotHasKey('tls', $told['apps']);
        self::assertTrue($told['admin']['disabled'], 'nobody reconfigures it over a port');
    }

    public function test_at_home_everything_is_encrypted_but_the_page_that_does_nothing_else(): void
    {
        $told = self::told(['192.168.7.20', '[fd00::7]', 'galley.local']);
        $servers = $told['apps']['http']['servers'];
        self::assertSame([':8081'], $servers['home']['listen']);
        self::assertSame('192.168.7.20', $servers['home']['tls_connection_policies'][0]['default_sni']);
        self::assertSame(
            ['192.168.7.20', 'fd00::7', 'galley.local'],
            $told['apps']['tls']['certificates']['automate'],
            'an address in a certificate has no brackets',
        );
        self::assertFalse($told['apps']['pki']['certificate_authorities']['local']['install_trust']);
        self::assertSame([':8082'], $servers['welcome']['listen']);
        $handlers = array_column($servers['welcome']['routes'][0]['handle'], 'handler');
        self::assertSame(['headers', 'file_server'], $handlers, 'no way from there into the kitchen');
    }

    public function test_odd_letters_in_a_folder_or_a_name_change_nothing_else(): void
    {
        foreach (["/srv/o\"dd\\{x}\n\x80", '/srv/größe $HOME `id`'] as $root) {
            $plan = new ServerPlan($root, 8080, [], "{$root}/door", 'token');
            $told = json_decode((new CaddyConfig($plan))->json(), true);
            self::assertSame(['here'], array_keys($told['apps']['http']['servers']));
        }
    }

    public function test_fpm_is_known_by_its_title_and_answers_on_a_socket_that_only_its_owner_opens(): void
    {
        $plan = new ServerPlan('/srv/kitchen', 8080, [], '/srv/door', 'token');
        $fpm = new FpmConfig($plan, 3);
        self::assertStringContainsString("[{$plan->marker()}]", $fpm->ini());
        self::assertStringContainsString('listen.mode = 0600', $fpm->ini());
        self::assertStringContainsString('pm.max_children = 3', $fpm->ini());
        self::assertContains('opcache.jit=tracing', $fpm->command(PhpSettings::serving()));
        self::assertStringContainsString($plan->marker(), $fpm->file(), 'the title of the master names its file');
    }

    public function test_what_a_killed_keeper_left_is_told_from_what_a_living_one_keeps(): void
    {
        $root = sys_get_temp_dir() . '/orphans-' . getmypid();
        $dead = 4_000_000;
        $started = proc_open(
            ['bash', '-c', 'exec -a "$0" sleep 30', 'php-fpm: pool ' . ProcessTable::marker($root, $dead)],
            [],
            $pipes,
        );
        self::assertIsResource($started);
        for ($wait = 0; $wait < 100 && ProcessTable::titled(ProcessTable::marker($root, $dead)) === []; ++$wait) {
            usleep(20_000);
        }
        $process = proc_get_status($started)['pid'];
        self::assertSame([$process], ProcessTable::titled(ProcessTable::marker($root, $dead)));
        self::assertSame([], ProcessTable::titled(ProcessTable::marker($root, 400)), 'a number that begins alike is another');
        self::assertSame([$process], ProcessTable::orphansOf($root));
        self::assertSame([], ProcessTable::orphansOf("{$root}-other"));
        self::assertSame([], ProcessTable::end($process));
        proc_close($started);
    }

    /**
     * @param list<string> $homeAddresses
     *
     * @return array<string, mixed>
     */
    private static function told(array $homeAddresses): array
    {
        $plan = new ServerPlan('/srv/kitchen', 8080, $homeAddresses, '/srv/door', 'token');

        return json_decode((new CaddyConfig($plan))->json(), true);
    }
}
