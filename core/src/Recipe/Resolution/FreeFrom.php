<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Facts\FactsFile;

/** What a name says a thing is free of: "gluten-free stock", "stock, gluten free". What is free of sugar or fat is another thing. */
final readonly class FreeFrom
{
    /**
     * @param non-empty-list<string> $allergens
     * @param string $rest the text without it
     */
    private function __construct(public array $allergens, public string $rest) {}

    public static function in(string $text): ?self
    {
        $free = FactsFile::named('words')['free-of'];
        $words = implode('|', array_map(static fn(string $word): string => preg_quote($word, '/'), $free->fields()));
        $pattern = "/(?<![\\pL-])({$words})(?:[- ]free)\\b\\s*/iu";
        if (preg_match_all($pattern, $text, $found) === 0) {
            return null;
        }
        $allergens = array_map(static fn(string $word): string => $free->text(mb_strtolower($word)), $found[1]);

        return $allergens === [] ? null : new self(
            array_values(array_unique($allergens)),
            trim((string) preg_replace($pattern, '', $text), ' ,'),
        );
    }
}
