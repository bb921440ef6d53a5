<?php

declare(strict_types=1);

namespace App\Exchange;

use Vinculum\Exchange\Csv;
use Vinculum\Exchange\RecipeFault;

/** The rows of a table as a file has them, and the figures in them. */
final readonly class TableRows
{
    /** More rows than this are not taken in at once. */
    private const MOST = 3000;
    private const MOST_LETTERS = 200;

    /**
     * @return array<int, array<string, string>> by line of the file
     *
     * @throws RecipeFault|ImportFault
     */
    public static function of(string $contents): array
    {
        $found = Csv::read($contents);
        if (count($found) > self::MOST) {
            throw ImportFault::tooManyRows(count($found), self::MOST);
        }
        $rows = [];
        foreach ($found as $number => $row) {
            $rows[$number + 2] = $row;
        }

        return $rows;
    }

    /**
     * What a row is called.
     *
     * @param array<string, string> $row
     *
     * @throws ImportFault where it has no name, or one too long
     */
    public static function name(array $row, string $column, int $line): string
    {
        $name = $row[$column] ?? '';
        if ($name === '' || mb_strlen($name) > self::MOST_LETTERS) {
            throw ImportFault::table(
                $line,
                "its {$column} is missing or longer than " . self::MOST_LETTERS . ' letters',
            );
        }

        return $name;
    }

    /**
     * A text as far as it is kept; null where there is none.
     *
     * @param array<string, string> $row
     */
    public static function text(array $row, string $column, int $most = self::MOST_LETTERS): ?string
    {
        return ($row[$column] ?? '') === '' ? null : mb_substr($row[$column], 0, $most);
    }

    /**
     * @param array<string, string> $row
     *
     * @throws ImportFault when it is no number
     */
    public static function figure(array $row, string $column, int $line): ?float
    {
        $text = str_replace(',', '.', $row[$column] ?? '');
        if ($text === '') {
            return null;
        }

        return is_numeric($text) && is_finite((float) $text) && (float) $text >= 0.0
            ? (float) $text
            : throw ImportFault::table($line, sprintf('%s "%s" is no number from 0 on', $column, $row[$column]));
    }
}
