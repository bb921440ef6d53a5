<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/**
 * The lines of the facts as they are written: what the tables made of them cannot show any more, such as a section or a
 * field that stands twice, and where each of them stands.
 */
final class FactsLines
{
    private const SECTION = '/^\[([^\[\]]+)\]$/';
    private const SOURCE = '/^; source: \S/';
    /** Rows that have a list of sources each, or are what sources are. */
    private const SOURCED_BY_ROW = ['ingredients', 'sources'];
    private const FIELD = '/^([\pL\d][^=]*?)\s*=/u';

    /** @var array<string, string> where each section and field stands, by "folder or file/section/field" */
    private array $places = [];

    /** @var list<string> */
    private array $faults = [];

    /** @var array<string, true> files that say at their head where all in them is from */
    private array $sourced = [];

    /** @var array<string, array<string, string>> by file, the place of each section */
    private array $sections = [];

    private function __construct() {}

    /** Every file of core/data. */
    public static function read(): self
    {
        $lines = new self();
        foreach (glob(FactsFile::folder() . '/{*,*/*}.ini', GLOB_BRACE) ?: [] as $path) {
            $lines->file(substr($path, strlen(FactsFile::folder()) + 1), file($path, FILE_IGNORE_NEW_LINES) ?: []);
        }

        return $lines;
    }

    /** @return list<string> what stands twice, or is neither a section nor a field, each with its file and line */
    public function faults(): array
    {
        return $this->faults;
    }

    /** @return list<string> sections that say of no source, in files that do not either */
    public function withoutSource(): array
    {
        $faults = [];
        $unsaid = array_diff_key($this->sections, $this->sourced, array_flip(self::SOURCED_BY_ROW));
        foreach ($unsaid as $table => $sections) {
            foreach ($sections as $section => $place) {
                if (!isset($this->places["{$table}/{$section}/source"])) {
                    $faults[] = "{$place}: [{$section}] has no source, nor has its file (\"; source: …\" at its head)";
                }
            }
        }

        return $faults;
    }

    /**
     * "ingredients/spices.ini:12".
     *
     * @param string $table a file without its extension, or the folder whose files are one table
     */
    public function place(string $table, string $section, ?string $field = null): string
    {
        return $this->places["{$table}/{$section}/{$field}"] ?? $this->places["{$table}/{$section}/"] ?? $table;
    }

    /** @param list<string> $lines */
    private function file(string $file, array $lines): void
    {
        // the files of a folder are one table
        $table = str_contains($file, '/') ? dirname($file) : basename($file, '.ini');
        $section = '';
        foreach ($lines as $number => $line) {
            $place = $file . ':' . ($number + 1);
            $line = trim($line);
            if ($line === '' || $line[0] === ';') {
                if (preg_match(self::SOURCE, $line) === 1) {
                    $this->sourced[$table] = true;
                }
                continue;
            }
            if (preg_match(self::SECTION, $line, $found) === 1) {
                $section = $found[1];
                $this->sections[$table][$section] = $place;
                $this->found("{$table}/{$section}/", $place, "[{$section}]");
            } elseif (preg_match(self::FIELD, $line, $found) === 1) {
                if (str_contains($line, ';')) {
                    $this->faults[] = "{$place}: what stands behind the semicolon is lost";
                }
                $this->found("{$table}/{$section}/{$found[1]}", $place, "\"{$found[1]}\" of [{$section}]");
            } else {
                $this->faults[] = "{$place}: this is neither a section nor a field: {$line}";
            }
        }
    }

    private function found(string $key, string $place, string $what): void
    {
        $first = $this->places[$key] ?? null;
        if ($first !== null) {
            $this->faults[] = "{$place}: {$what} stands already at {$first}";
        }
        $this->places[$key] ??= $place;
    }
}
