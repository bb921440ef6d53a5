<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Facts\FactsFile;

/** Allergens that a text shows by its words (allergens.ini): a list of ingredients, or a line nobody understood. */
final class AllergenWords
{
    /** "without nuts", "nut-free": said not to be there. */
    private const DENIED = '/\\b(?:without|no|free of|free from|instead of)\\s+(?:any\\s+)?[\\pL-]{1,40}(?:\\s+or\\s+[\\pL-]{1,40})?|(?<!\\pL)\\pL{1,40}[- ]free\\b/iu';

    /** @return list<string> in the order of the regulation */
    public static function in(string $text): array
    {
        $free = FactsFile::named('words')['free-of'];
        $found = [];
        foreach (FactsFile::named('allergens') as $allergen => $row) {
            // "dairy-free butter" is a butter without milk, and says nothing of what stands after it
            $words = array_filter($free->fields(), static fn(string $word): bool => $free->text($word) === $allergen);
            $of = $words === [] ? '' : '/\b(?:' . implode('|', $words) . ')[- ]free\s+\pL{1,40}(?:\s+(?!(?:and|or|with)\b)\pL{1,40})?/iu';
            $plain = $of === '' ? mb_scrub($text) : (string) preg_replace($of, ' ', mb_scrub($text));
            $told = (string) preg_replace(self::DENIED, ' ', $plain);
            $left = $row->list('but') === [] ? $told : (string) preg_replace("/{$row->pattern('but')}/iu", ' ', $told);
            if ($row->isSaidIn($left, 'words') || $row->isSaidIn($left, 'foods')) {
                $found[] = (string) $allergen;
            }
        }

        return $found;
    }
}
