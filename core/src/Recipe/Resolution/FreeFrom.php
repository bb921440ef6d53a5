<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/**
 * What a name says a thing is free of, or whom it is for: "gluten-free stock", "stock, gluten free", "vegan pesto". What is
 * free of sugar or fat is another thing.
 */
final readonly class FreeFrom
{
    /**
     * @param list<string> $allergens
     * @param list<string> $diets
     * @param string $rest the text without it
     */
    private function __construct(public array $allergens, public array $diets, public string $rest) {}

    public static function in(string $text): ?self
    {
        [$free, $diets] = [FactsFile::named('words')['free-of'], FactsFile::named('words')['made-for']];
        $names = self::eitherOf($free->fields());
        $for = self::eitherOf($diets->fields());
        // "oat milk to keep it vegan" says nothing of what is there
        $pattern = "/(?<![\\pL-])(?:({$names})(?:[- ]free)|(?:^|(?<=[,;(])|(?<=[,;(]\\s))({$for}))\\b\\s*/iu";
        if (preg_match_all($pattern, $text, $found) === 0) {
            return null;
        }
        return new self(
            self::meant($found[1], $free),
            self::meant($found[2], $diets),
            trim((string) preg_replace($pattern, '', $text), ' ,'),
        );
    }

    /** @param list<string> $words */
    private static function eitherOf(array $words): string
    {
        return implode('|', array_map(static fn(string $word): string => preg_quote($word, '/'), $words));
    }

    /**
     * @param array<string> $words as they are written, some empty
     *
     * @return list<string>
     */
    private static function meant(array $words, Row $row): array
    {
        $meant = [];
        foreach ($words as $word) {
            if ($word !== '') {
                $meant[] = $row->text(mb_strtolower($word));
            }
        }

        return array_values(array_unique($meant));
    }
}
