<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

use Vinculum\Recipe\Recipe;

/**
 * Writes a recipe so that it reads back as it was: the plain text of the command-line contract, or schema.org JSON-LD.
 */
final class RecipeWriter
{
    public static function text(Recipe $recipe): string
    {
        $keys = array_filter(
            [
                'Style' => $recipe->style,
                'Yield' => $recipe->yield,
                'Serves' => $recipe->servings === null ? null : (string) $recipe->servings,
                'Pan' => $recipe->pan,
                'Without' => implode(', ', $recipe->ignoredAxes),
                'Aim' => Places::written($recipe->places),
            ],
            static fn(?string $value): bool => $value !== null && $value !== '',
        );
        $head = [
            ...($recipe->title === '' ? [] : ["# {$recipe->title}"]),
            ...array_map(static fn(string $key, string $value): string => "{$key}: {$value}", array_keys($keys), $keys),
        ];
        $aside = array_map(
            static fn(array $one): string => "Aside: {$one['why']}: {$one['text']}",
            $recipe->setAside,
        );
        $method = $recipe->method === [] ? [] : ['', 'Method:', ...$recipe->method];

        return implode(
            "\n",
            [...$head, ...$aside, ...($head === [] ? [] : ['']), ...$recipe->tidied()->texts(), ...$method],
        ) . "\n";
    }

    /** @return array<string, mixed> a schema.org Recipe; the style is its category, the pan its tool */
    public static function jsonLd(Recipe $recipe): array
    {
        return array_filter([
            '@context' => 'https://schema.org',
            '@type' => 'Recipe',
            'name' => $recipe->title === '' ? null : $recipe->title,
            'recipeCategory' => $recipe->style,
            'recipeYield' => $recipe->servings === null
                ? $recipe->yield
                : array_values(array_filter([$recipe->yield, (string) $recipe->servings])),
            'tool' => $recipe->pan === null ? null : [['@type' => 'HowToTool', 'name' => "pan {$recipe->pan}"]],
            'recipeIngredient' => $recipe->tidied()->texts(),
            'recipeInstructions' => array_map(
                static fn(string $step): array => ['@type' => 'HowToStep', 'text' => $step],
                $recipe->method,
            ),
        ], static fn(mixed $value): bool => $value !== null && $value !== []);
    }
}
