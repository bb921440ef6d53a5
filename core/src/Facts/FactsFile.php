<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/** Reads the INI files of core/data: one section a fact, one line a field. */
final class FactsFile
{
    /** @var array<string, array<string, Row>> */
    private static array $read = [];

    /**
     * @param string $name path below core/data, without extension
     *
     * @return array<string, Row> by section
     *
     * @throws FactsFault
     */
    public static function named(string $name): array
    {
        return self::$read[$name] ??= self::at(self::folder() . "/{$name}.ini");
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
        foreach (glob(self::folder() . "/{$name}/*.ini") ?: [] as $path) {
            $rows += self::at($path);
        }

        return self::$read[$name] = $rows;
    }

    public static function folder(): string
    {
        return dirname(__DIR__, 2) . '/data';
    }

    /** @return array<string, Row> */
    private static function at(string $path): array
    {
        $sections = is_file($path) ? parse_ini_file($path, true, INI_SCANNER_RAW) : false;
        if ($sections === false) {
            throw FactsFault::unreadable($path);
        }
        $rows = [];
        foreach ($sections as $key => $fields) {
            if (!is_array($fields)) {
                throw FactsFault::missing((string) $key, 'a section heading');
            }
            $texts = [];
            foreach ($fields as $field => $value) {
                $texts[(string) $field] = is_string($value) ? trim($value) : '';
            }
            $rows[(string) $key] = new Row((string) $key, $texts);
        }

        return $rows;
    }
}
