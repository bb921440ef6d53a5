<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

/**
 * Tables as comma-separated values (RFC 4180): lines end in CRLF, quotes are doubled, the first line names the columns.
 */
final class Csv
{
    /** How a text begins that a spreadsheet may take for a formula: blanks and apostrophes before it do not stop it. */
    private const FORMULA = '(?:[\'\s\p{Z}\p{Cf}\p{Cc}]*[=+\-@\x{2212}\x{FE62}\x{FE63}\x{FE66}\x{FE6B}\x{FF0B}\x{FF0D}\x{FF1D}\x{FF20}]|\'*[\t\r\n])';

    /**
     * @param list<string> $columns
     * @param list<array<string, string|float|int|bool|null>> $rows by column
     */
    public static function write(array $columns, array $rows): string
    {
        $lines = [self::line($columns)];
        foreach ($rows as $row) {
            $lines[] = self::line(
                array_map(static fn(string $column): string => self::text($row[$column] ?? null), $columns),
            );
        }

        return implode("\r\n", $lines) . "\r\n";
    }

    /**
     * @return list<array<string, string>> by column, as the first line names them; short rows are filled up
     *
     * @throws RecipeFault when it has no columns
     */
    public static function read(string $text): array
    {
        $stream = fopen('php://memory', 'r+');
        if ($stream === false) {
            throw RecipeFault::notText();
        }
        fwrite($stream, preg_replace('/^\x{FEFF}/u', '', $text) ?? $text);
        rewind($stream);
        $separator = self::separator($text);
        [$columns, $rows] = [null, []];
        while (is_array($fields = fgetcsv($stream, null, $separator, '"', ''))) {
            $fields = array_map(
                static fn(?string $field): string => preg_replace(
                    '/^\'(?=' . self::FORMULA . ')/u',
                    '',
                    trim((string) $field, " \n\v\0"),
                ) ?? (string) $field,
                $fields,
            );
            if ($fields === ['']) {
                continue;
            }
            if ($columns === null) {
                $columns = array_map(static fn(string $name): string => strtolower($name), $fields);
                continue;
            }
            $rows[] = array_combine($columns, array_slice(array_pad($fields, count($columns), ''), 0, count($columns)));
        }
        fclose($stream);

        return $columns === null ? throw RecipeFault::notText() : $rows;
    }

    /** What stands between the columns of the first line, cells in quotes left out. */
    private static function separator(string $text): string
    {
        $first = (string) preg_replace('/"[^"]*"/', '', substr($text, 0, 10_000));
        $first = strtok($first, "\r\n") ?: '';

        return substr_count($first, ';') > substr_count($first, ',') ? ';' : ',';
    }

    private static function text(string|float|int|bool|null $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            default => (string) $value,
        };
    }

    /** @param list<string> $fields */
    private static function line(array $fields): string
    {
        return implode(',', array_map(static function (string $field): string {
            // a spreadsheet must not take a text for a formula
            $isFormula = preg_match('/^' . self::FORMULA . '/u', $field) === 1 && !is_numeric($field);
            $safe = $isFormula ? "'{$field}" : $field;

            return preg_match('/[",;\r\n]/', $safe) === 1 ? '"' . str_replace('"', '""', $safe) . '"' : $safe;
        }, $fields));
    }
}
