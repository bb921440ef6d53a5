<?php

declare(strict_types=1);

namespace Tests\core\Facts;

use PHPUnit\Framework\TestCase;
use Vinculum\Facts\FactsFile;

/** What the code asks of the facts by name is there, and what is there is asked for: read off the code itself. */
final class LookUpsTest extends TestCase
{
    /** FactsFile::named('page')['cue-time']->list('starts'), as far as it is written out. */
    private const LOOK_UP = '/FactsFile::named\(\'([\w-]+)\'\)(?:\s*\[\'([\w -]+)\'\](?:\s*->(\w+)\((?:\$\w+, )?\'([\w -]+)\'\))?)?/';
    /** Files whose sections are asked for by name, not by the key of a thing. */
    private const NAMED = [
        'body', 'doing', 'fields', 'in-oil', 'moves', 'page', 'published', 'pungency', 'reading', 'said', 'tasting', 'telling',
        'times', 'trainer', 'words',
    ];
    /** Sections that are asked for by the beginning of their names. */
    private const BEGINNINGS = ['cue-', 'of-'];

    public function test_every_file_section_and_field_that_the_code_names_is_there(): void
    {
        $checked = 0;
        foreach (self::sources() as $path => $code) {
            preg_match_all(self::LOOK_UP, $code, $found, PREG_SET_ORDER | PREG_UNMATCHED_AS_NULL);
            foreach ($found as [, $file, $section, , $field]) {
                $rows = FactsFile::named((string) $file);
                self::assertTrue($section === null || isset($rows[$section]), "{$path}: {$file} has no [{$section}]");
                self::assertTrue(
                    $section === null || $field === null || $rows[$section]->has($field),
                    "{$path}: [{$section}] of {$file} has no {$field}",
                );
                ++$checked;
            }
        }

        self::assertGreaterThan(100, $checked);
    }

    public function test_no_section_stands_there_that_nothing_asks_for(): void
    {
        $code = implode('', self::sources());
        foreach (self::NAMED as $file) {
            foreach (array_map(strval(...), array_keys(FactsFile::named($file))) as $section) {
                $begins = array_filter(self::BEGINNINGS, static fn(string $one): bool => str_starts_with($section, $one));
                $asked = $begins === [] ? "'{$section}'" : "'" . reset($begins) . "'";
                self::assertStringContainsString($asked, $code, "[{$section}] of {$file}");
            }
        }
    }

    /** @return array<string, string> the core's code by path */
    private static function sources(): array
    {
        $sources = [];
        $files = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(dirname(__DIR__, 3) . '/core/src'));
        foreach ($files as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                $sources[$file->getPathname()] = (string) file_get_contents($file->getPathname());
            }
        }

        return $sources;
    }
}
