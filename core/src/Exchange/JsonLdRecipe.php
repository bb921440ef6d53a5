<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Recipe\Text\PageRecipe;

/** A schema.org Recipe in JSON-LD, alone, in a list, or inside an @graph. */
final class JsonLdRecipe
{
    private const DEEPEST = 64;
    /** More values than this no page of recipes holds; reading them would take what memory there is. */
    private const MOST_VALUES = 300_000;

    /**
     * @return non-empty-list<Recipe>
     *
     * @throws RecipeFault
     */
    public static function readAll(string $json): array
    {
        if (substr_count($json, ',') + substr_count($json, '[') + substr_count($json, '{') > self::MOST_VALUES) {
            throw RecipeFault::tooIntricate();
        }
        try {
            $found = json_decode($json, true, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (\JsonException $fault) {
            throw RecipeFault::notJson($fault->getMessage());
        }
        $nodes = self::recipesIn($found);

        return $nodes === [] ? throw RecipeFault::notARecipe() : array_map(self::recipe(...), $nodes);
    }

    /** @param array<mixed> $recipe one node, as linked data have it */
    public static function recipe(array $recipe): Recipe
    {
        $method = self::steps($recipe['recipeInstructions'] ?? []);
        $minutes = self::minutes($recipe['cookTime'] ?? null) ?? self::minutes($recipe['totalTime'] ?? null);

        return (new Recipe(
            self::texts($recipe['name'] ?? [])[0] ?? '',
            self::style($recipe['recipeCategory'] ?? []),
            RecipeLine::numbered(self::texts($recipe['recipeIngredient'] ?? $recipe['ingredients'] ?? [])),
            $method,
            yield: self::measurableYield(self::texts($recipe['recipeYield'] ?? $recipe['yield'] ?? [])),
            servings: self::servings(self::texts($recipe['recipeYield'] ?? $recipe['yield'] ?? [])),
            pan: self::pan($recipe['tool'] ?? []),
            notes: $minutes === null ? [] : [sprintf('It is said to cook %d minutes.', $minutes)],
        ))->tidied();
    }

    /** @return list<array<mixed>> */
    private static function recipesIn(mixed $node): array
    {
        if (!is_array($node)) {
            return [];
        }
        if (in_array('Recipe', (array) ($node['@type'] ?? []), true)) {
            return [$node];
        }
        $children = array_is_list($node)
            ? $node
            : [
                $node['@graph'] ?? null,
                $node['mainEntity'] ?? null,
                $node['itemListElement'] ?? null,
                $node['item'] ?? null,
            ];

        return array_merge([], ...array_map(self::recipesIn(...), $children));
    }

    /**
     * Steps, each under its section's name, with the time it is given as a tag.
     *
     * @return list<string>
     */
    private static function steps(mixed $value): array
    {
        if (!is_array($value)) {
            return self::texts($value);
        }
        if (array_is_list($value)) {
            return array_merge([], ...array_map(self::steps(...), $value));
        }
        if (isset($value['itemListElement'])) {
            $name = self::texts($value['name'] ?? [])[0] ?? null;

            return [...($name === null ? [] : [rtrim($name, ': ') . ':']), ...self::steps($value['itemListElement'])];
        }
        $texts = self::texts($value);
        $minutes = self::minutes($value['performTime'] ?? $value['timeRequired'] ?? $value['totalTime'] ?? null);
        if ($minutes !== null && $texts !== []) {
            $texts[0] .= " [{$minutes} min]";
        }

        return $texts;
    }

    /** "PT1H15M" as minutes; null where it is no duration of ISO 8601. */
    private static function minutes(mixed $duration): ?int
    {
        try {
            $found = is_string($duration) ? new \DateInterval(trim($duration)) : null;
        } catch (\Exception) {
            return null;
        }
        $minutes = $found === null ? 0 : (int) round(1440 * $found->d + 60 * $found->h + $found->i + $found->s / 60);

        return $minutes > 0 ? $minutes : null;
    }

    private static function style(mixed $categories): ?string
    {
        foreach (self::texts($categories) as $category) {
            if (preg_match('/^[a-z]+(?:-[a-z]+)*$/', $category) === 1) {
                return $category;
            }
        }

        return null;
    }

    private static function pan(mixed $tools): ?string
    {
        foreach (self::texts($tools) as $tool) {
            if (preg_match('/^pan (.+)$/u', $tool, $found) === 1) {
                return $found[1];
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
            // marks go, but a "<" that begins none is part of the text: "salt <1 %"
            $unmarked = (string) preg_replace(
                ['~<br\s*/?>|</p>|</li>~i', '~<(?:/?[a-z][^<>]*|!--.*?--)>~is'],
                ["\n", ''],
                (string) $value,
            );
            $plain = html_entity_decode($unmarked, ENT_QUOTES | ENT_HTML5);

            return array_values(
                array_filter(
                    array_map(trim(...), preg_split('/\R/u', $plain) ?: []),
                    static fn(string $line): bool => $line !== '',
                ),
            );
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
     * A bare number is one of portions, as is one that says so.
     *
     * @param list<string> $yields
     */
    private static function servings(array $yields): ?int
    {
        foreach ($yields as $yield) {
            if (preg_match('/^\s*([1-9]\d{0,2})\s*$/', $yield, $found) === 1) {
                return (int) $found[1];
            }
        }

        return PageRecipe::servingsIn($yields);
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
