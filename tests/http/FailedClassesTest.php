<?php

declare(strict_types=1);

namespace Tests\http;

use PHPUnit\Framework\TestCase;

/** Which browser tests are tried once more: what failed, and what never ran because a browser died. */
final class FailedClassesTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir() . '/failed-classes-' . getmypid();
        mkdir($this->folder);
        foreach (['Right' => ['a', 'b'], 'Wrong' => ['a'], 'Unasked' => ['a'], 'Half' => ['a', 'b']] as $class => $tests) {
            $methods = array_map(static fn(string $test): string => "public function test_{$test}(): void {}", $tests);
            file_put_contents("{$this->folder}/{$class}Test.php", '<?php class ' . $class . 'Test {' . implode("\n", $methods) . '}');
        }
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob("{$this->folder}/*") ?: []);
        rmdir($this->folder);
    }

    public function test_what_failed_and_what_never_ran_is_named(): void
    {
        $case = static fn(string $class, string $test, string $inside = ''): string => "<testcase class=\"Tests\\browser\\{$class}Test\" name=\"test_{$test}\">{$inside}</testcase>";
        $ran = [$case('Right', 'a'), $case('Right', 'b with data set "one"'), $case('Half', 'a')];
        self::assertSame('\bHalfTest::|\bUnaskedTest::|\bWrongTest::', $this->named([...$ran, $case('Wrong', 'a', '<error>gone</error>')]));
        self::assertSame('\bHalfTest::|\bUnaskedTest::', $this->named([...$ran, $case('Wrong', 'a')]));
        self::assertSame('', $this->named([...$ran, $case('Half', 'b'), $case('Unasked', 'a'), $case('Wrong', 'a')]));
    }

    /** @param list<string> $cases */
    private function named(array $cases): string
    {
        $log = "{$this->folder}/log.xml";
        file_put_contents($log, '<testsuites><testsuite>' . str_replace('"one"', '&quot;one&quot;', implode($cases)) . '</testsuite></testsuites>');
        $said = (string) shell_exec('php ' . escapeshellarg(dirname(__DIR__, 2) . '/bin/failed-classes') . ' ' . escapeshellarg($log) . ' ' . escapeshellarg($this->folder));
        $names = $said === '' ? [] : explode('|', $said);
        sort($names);

        return implode('|', $names);
    }
}
