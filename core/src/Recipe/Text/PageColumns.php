<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Text;

use Vinculum\Facts\FactsFile;

/**
 * A table that says every amount twice: "Beetroot   500 g   1 lb 2 oz" under a head of "Metric" and "Imperial". The first
 * is the recipe's; the other would be read as more of it.
 */
final class PageColumns
{
    private const CELLS = '/\s*\|\s*|\t+|\s{2,}/u';
    /** What a row tells; where a cell begins otherwise, the table is at its end. */
    private const AMOUNT = '/^(?:[\d½¼¾⅓⅔⅛]|(?:an?|to taste|few|some|pinch|dash|handful)\b|[-–—]$)/iu';

    /**
     * @param list<string> $lines as they stand on the page, with their gaps
     *
     * @return list<string> of the rows of such a table the name and one amount
     */
    public static function single(array $lines): array
    {
        $known = FactsFile::named('page')['columns']->list('heads');
        [$taken, $width] = [null, 0];
        foreach ($lines as $at => $line) {
            $cells = self::cells($line);
            $heads = array_intersect(array_map(mb_strtolower(...), $cells), $known);
            if (count($heads) >= 2 && count($cells) - count($heads) <= 1) {
                // the first column may have no head
                $width = max(count($heads) + 1, count($cells));
                $taken = array_search(reset($heads), $heads, true) + $width - count($cells);
                $lines[$at] = isset($heads[0]) ? '' : $cells[0];
            } elseif ($taken !== null && count($cells) === $width && preg_match(self::AMOUNT, $cells[$taken]) === 1) {
                $lines[$at] = "{$cells[$taken]} {$cells[0]}";
            } elseif (count($cells) > 1) {
                $taken = null;
            }
        }

        return $lines;
    }

    /** @return non-empty-list<string> */
    private static function cells(string $line): array
    {
        $cells = preg_split(self::CELLS, trim($line, " \t|")) ?: [];

        return $cells === [] ? [''] : $cells;
    }
}
