<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

use Vinculum\Reading\ResolvedLine;

/** A schema.org Recipe in JSON-LD, alone, in a list, or inside an @graph. */
final class JsonLdRecipe
{
    private const DEEPEST = 64;

    /** @throws RecipeFault */
    public static function read(string $json): Recipe
    {
        try {
            $found = json_decode($json, true, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (\JsonException $fault) {
            throw RecipeFault::notJson($fault->getMessage());
        }
        $recipe = self::recipeIn($found) ?? throw RecipeFault::notARecipe();
        $lines = self::lines(self::texts($recipe['recipeIngredient'] ?? $recipe['ingredients'] ?? []));

        return new Recipe(
            self::texts($recipe['name'] ?? [])[0] ?? null,
            null,
            self::measurableYield(self::texts($recipe['recipeYield'] ?? $recipe['yield'] ?? [])),
            null,
            $lines,
            self::texts($recipe['recipeInstructions'] ?? []),
        );
    }

    /**
     * @param list<string> $texts ingredient lines, and headings among them
     *
     * @return list<RecipeLine>
     */
    private static function lines(array $texts): array
    {
        [$lines, $stage] = [[], null];
        foreach ($texts as $text) {
            if (ResolvedLine::isHeading($text)) {
                $stage = rtrim($text, ': ');
            } else {
                $lines[] = new RecipeLine($text, $stage);
            }
        }

        return $lines;
    }

    /** @return array<mixed>|null */
    private static function recipeIn(mixed $node): ?array
    {
        if (!is_array($node)) {
            return null;
        }
        if (in_array('Recipe', (array) ($node['@type'] ?? []), true)) {
            return $node;
        }
        foreach (array_is_list($node) ? $node : [$node['@graph'] ?? null, $node['mainEntity'] ?? null] as $child) {
            $found = self::recipeIn($child);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /**
     * Plain texts out of a text, a list of texts, or steps and sections of steps.
     *
     * @return list<string>
     */
    private static function texts(mixed $value): array
    {
        if (is_string($value) || is_int($value) || is_float($value)) {
            $plain = html_entity_decode(strip_tags((string) preg_replace('~<br\s*/?>|</p>|</li>~i', "\n", (string) $value)), ENT_QUOTES | ENT_HTML5);

            return array_values(array_filter(array_map(trim(...), preg_split('/\R/u', $plain) ?: []), static fn(string $line): bool => $line !== ''));
        }
        if (!is_array($value)) {
            return [];
        }
        if (array_is_list($value)) {
            return array_merge([], ...array_map(self::texts(...), $value));
        }

        return self::texts($value['itemListElement'] ?? $value['text'] ?? $value['name'] ?? []);
    }

    /**
     * Only a yield in a unit of weight or volume says what the pan held at the end.
     *
     * @param list<string> $yields
     */
    private static function measurableYield(array $yields): ?string
    {
        foreach ($yields as $yield) {
            if (preg_match('/\d.*\b(?:ml|l|litres?|liters?|g|kg|cups?|pints?|quarts?|oz)\b/iu', $yield) === 1) {
                return $yield;
            }
        }

        return null;
    }
}
