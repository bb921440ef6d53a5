<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Facts\FactsFile;

/** Allergens that a text shows by its words (allergens.ini): a list of ingredients, or a line nobody understood. */
final class AllergenWords
{
    /** "without nuts", "nut-free": said not to be there. */
    private const DENIED = '/\\b(?:without|no|free of|free from|instead of)\\s+(?:any\\s+)?[\\pL-]{1,40}(?:\\s+or\\s+[\\pL-]{1,40})?|(?<!\\pL)\\pL{1,40}[- ]free\\b/iu';

    private const MOST_REMEMBERED = 2000;

    /** @var array<string, list<string>> answers already given, by text */
    private static array $known = [];

    /** @return list<string> in the order of the regulation */
    public static function in(string $text): array
    {
        if (count(self::$known) > self::MOST_REMEMBERED) {
            self::$known = [];
        }

        return self::$known[$text] ??= self::found(mb_scrub($text));
    }

    /** @return list<string> */
    private static function found(string $text): array
    {
        $found = [];
        foreach (FactsFile::named('allergens') as $allergen => $row) {
            $of = self::freeOf((string) $allergen);
            $plain = $of === null ? $text : (string) preg_replace($of, ' ', $text);
            $told = (string) preg_replace(self::DENIED, ' ', $plain);
            $left = $row->list('but') === [] ? $told : (string) preg_replace("/{$row->pattern('but')}/iu", ' ', $told);
            if ($row->isSaidIn($left, 'words') || $row->isSaidIn($left, 'foods')) {
                $found[] = (string) $allergen;
            }
        }

        return $found;
    }

    /** "dairy-free butter" is a butter without milk, and says nothing of what stands after it. */
    private static function freeOf(string $allergen): ?string
    {
        /** @var array<string, string|null> $patterns */
        static $patterns = [];
        if (!array_key_exists($allergen, $patterns)) {
            $free = FactsFile::named('words')['free-of'];
            $words = array_filter($free->fields(), static fn(string $word): bool => $free->text($word) === $allergen);
            $patterns[$allergen] = $words === []
                ? null
                : '/\b(?:' . implode('|', $words) . ')[- ]free\s+\pL{1,40}(?:\s+(?!(?:and|or|with)\b)\pL{1,40})?/iu';
        }

        return $patterns[$allergen];
    }
}
