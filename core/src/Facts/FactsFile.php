<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/** Reads the INI files of core/data: one section a fact, one line a field. */
final class FactsFile
{
    /** @var array<string, array<string, Row>> */
    private static array $read = [];

    /** @var array<string, array<string, array<string, string>>> sections by file name, read from a compiled copy */
    private static array $compiled = [];

    /**
     * Takes the facts from a PHP file written by compile() instead of reading the INI files one by one.
     */
    public static function useCompiled(string $path): void
    {
        $facts = require $path;
        if (is_array($facts)) {
            /** @var array<string, array<string, array<string, string>>> $facts */
            self::$compiled = $facts;
        }
    }

    /** All facts as the source of a PHP file that returns them, for useCompiled(). */
    public static function compile(): string
    {
        $facts = [];
        foreach (['*.ini', '*/*.ini'] as $pattern) {
            foreach (glob(self::folder() . '/' . $pattern) ?: [] as $path) {
                $facts[substr($path, strlen(self::folder()) + 1, -strlen('.ini'))] = self::sections($path);
            }
        }

        return '<?php return ' . var_export($facts, true) . ";\n";
    }

    /**
     * @param string $name path below core/data, without extension
     *
     * @return array<string, Row> by section
     *
     * @throws FactsFault
     */
    public static function named(string $name): array
    {
        return self::$read[$name] ??= self::rows($name);
    }

    /**
     * Every file of a folder below core/data, as one table.
     *
     * @return array<string, Row>
     */
    public static function folderNamed(string $name): array
    {
        if (isset(self::$read[$name])) {
            return self::$read[$name];
        }
        $rows = [];
        $names = self::$compiled !== []
            ? array_filter(
                array_keys(self::$compiled),
                static fn(string $file): bool => str_starts_with($file, "{$name}/"),
            )
            : array_map(
                static fn(string $path): string => "{$name}/" . basename($path, '.ini'),
                glob(self::folder() . "/{$name}/*.ini") ?: [],
            );
        foreach ($names as $file) {
            $rows += self::rows($file);
        }

        return self::$read[$name] = $rows;
    }

    /** When a facts file, or the way they are read, last changed: a Unix time. */
    public static function lastChange(): int
    {
        $files = [__FILE__, ...(glob(self::folder() . '/{*,*/*}.ini', GLOB_BRACE) ?: [])];

        return max(array_map(static fn(string $file): int => (int) filemtime($file), $files));
    }

    public static function folder(): string
    {
        return dirname(__DIR__, 2) . '/data';
    }

    /** @return array<string, Row> */
    private static function rows(string $name): array
    {
        $rows = [];
        foreach (self::$compiled[$name] ?? self::sections(self::folder() . "/{$name}.ini") as $key => $fields) {
            $rows[$key] = new Row($key, $fields);
        }

        return $rows;
    }

    /** @return array<string, array<string, string>> */
    private static function sections(string $path): array
    {
        $sections = is_file($path) ? parse_ini_file($path, true, INI_SCANNER_RAW) : false;
        if ($sections === false) {
            throw FactsFault::unreadable($path);
        }
        $texts = [];
        foreach ($sections as $key => $fields) {
            if (!is_array($fields)) {
                throw FactsFault::missing((string) $key, 'a section heading');
            }
            $texts[(string) $key] = [];
            foreach ($fields as $field => $value) {
                $texts[(string) $key][(string) $field] = is_string($value) ? trim($value) : '';
            }
        }

        return $texts;
    }
}
