<?php

declare(strict_types=1);

namespace Tests\core\Facts;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\FactsLines;
use Vinculum\Facts\FactsShapes;

/** A slip of the pen in any file of facts is told with its place, before anything is made of it. */
final class FactsShapesTest extends TestCase
{
    private const SEED = 20261201;

    public function test_every_file_is_in_shape_and_says_where_it_is_from(): void
    {
        self::assertSame([], FactsShapes::faults(FactsLines::read()));
    }

    /** Each file has a shape, or a class that takes each of its fields. */
    public function test_every_file_has_a_shape_or_a_class(): void
    {
        $shaped = array_map(strval(...), array_keys(FactsFile::named('shapes')));
        $core = dirname(__DIR__, 3) . '/core/src';
        $sources = implode("\n", array_map(
            static fn(string $path): string => (string) file_get_contents($path),
            [...(glob("{$core}/*/*.php") ?: []), ...(glob("{$core}/*/*/*.php") ?: [])],
        ));
        foreach (glob(FactsFile::folder() . '/*.ini') ?: [] as $path) {
            $file = basename($path, '.ini');
            self::assertTrue(
                in_array($file, [...$shaped, 'shapes', 'fields'], true) || str_contains($sources, "const FILE = '{$file}'"),
                $file,
            );
        }
    }

    /** A copy of the facts in which a field of many files is misspelt or a word is no word, checked in another process. */
    public function test_slips_in_every_file_are_told_with_file_and_line(): void
    {
        $dice = new Randomizer(new Mt19937(self::SEED));
        $root = dirname(__DIR__, 3);
        $copy = sys_get_temp_dir() . '/vinculum-shapes-' . getmypid();
        exec('mkdir -p ' . escapeshellarg("{$copy}/bin") . ' && cp -r ' . escapeshellarg("{$root}/core") . ' '
            . escapeshellarg("{$copy}/core") . ' && cp ' . escapeshellarg("{$root}/bin/check-facts") . ' ' . escapeshellarg("{$copy}/bin/"));
        $expected = [];
        foreach (FactsFile::named('shapes') as $file => $shape) {
            if ($shape->has('any') || $file === 'fields') {
                continue;
            }
            $path = "{$copy}/core/data/{$file}.ini";
            $lines = file($path, FILE_IGNORE_NEW_LINES) ?: [];
            $fields = array_keys(array_filter(
                $lines,
                static fn(string $line): bool => preg_match('/^[a-z_-]+ = \S/', $line) === 1 && !str_starts_with($line, 'source'),
            ));
            $at = $fields[$dice->getInt(0, count($fields) - 1)];
            [$field, $value] = explode(' = ', $lines[$at], 2);
            $type = strtok($shape->textOr($field, ''), ' ');
            $lines[$at] = in_array($type, ['number', 'numbers', 'keys', 'amounts', 'one'], true) && $dice->getInt(0, 1) === 0
                ? "{$field} = no such thing"
                : "{$field}x = {$value}";
            file_put_contents($path, implode("\n", $lines) . "\n");
            $expected[] = "{$file}.ini:" . ($at + 1) . ':';
        }
        file_put_contents(
            "{$copy}/core/data/heats.ini",
            (string) preg_replace('/^source = .*$/m', '; gone', (string) file_get_contents("{$copy}/core/data/heats.ini"), 1),
        );
        try {
            exec(PHP_BINARY . ' ' . escapeshellarg("{$copy}/bin/check-facts"), $said, $status);
        } finally {
            exec('rm -rf ' . escapeshellarg($copy));
        }
        $said = implode("\n", $said);

        self::assertSame(1, $status);
        self::assertGreaterThan(35, count($expected));
        foreach ($expected as $place) {
            self::assertStringContainsString($place, $said);
        }
        self::assertStringContainsString('has no source', $said);
    }
}
