<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Contracts\Database\Eloquent\CastsAttributes;
use Illuminate\Database\Eloquent\Model;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;

/**
 * A recipe as it is sent and as it is stored: one shape in what a sauce answers, in the column of a sauce, its versions
 * and its batches, and in the kitchen's file.
 *
 * @phpstan-import-type NumberedLine from RecipeLine
 *
 * @phpstan-type Written array{
 *     title: string,
 *     style: string|null,
 *     measures: value-of<Measures>,
 *     yield: string|null,
 *     part_ml: float|null,
 *     method: list<string>,
 *     pan: string|null,
 *     servings: int|null,
 *     set_aside: list<array{text: string, why: string, sure?: bool}>,
 *     let_go: list<string>,
 *     aim: list<array{axis: string, steps: float}>,
 *     lines: list<NumberedLine>,
 * }
 *
 * @implements CastsAttributes<Recipe, Recipe>
 */
final class WrittenRecipe implements CastsAttributes
{
    /** What is read says which stored sauce it is a state of; what was just set does not yet. */
    public bool $withoutObjectCaching = true;

    /** @return Written */
    public static function of(Recipe $recipe): array
    {
        return [
            'title' => $recipe->title,
            'style' => $recipe->style,
            'measures' => $recipe->measures->value,
            'yield' => $recipe->yield,
            'part_ml' => $recipe->partMillilitres,
            'method' => $recipe->method,
            'pan' => $recipe->pan,
            'servings' => $recipe->servings,
            'set_aside' => $recipe->setAside,
            'let_go' => $recipe->ignoredAxes,
            'aim' => array_map(
                static fn(string $axis, float $steps): array => ['axis' => $axis, 'steps' => $steps],
                array_keys($recipe->places),
                array_values($recipe->places),
            ),
            'lines' => array_map(static fn(RecipeLine $line): array => $line->written(), $recipe->lines),
        ];
    }

    public function get(Model $model, string $key, mixed $value, array $attributes): Recipe
    {
        /** @var Written $written */
        $written = json_decode(is_string($value) ? $value : '', true, 16, JSON_THROW_ON_ERROR);
        $sauce = $attributes[$model instanceof Sauce ? 'id' : 'sauce_id'] ?? null;

        return new Recipe(
            $written['title'],
            $written['style'],
            RecipeLine::parse($written['lines']),
            $written['method'],
            Measures::from($written['measures']),
            $written['yield'],
            $written['part_ml'],
            $written['pan'],
            is_numeric($sauce) ? (int) $sauce : null,
            servings: $written['servings'],
            setAside: $written['set_aside'],
            ignoredAxes: $written['let_go'],
            // a recipe that was written before there were aims has none
            places: array_column($written['aim'] ?? [], 'steps', 'axis'),
        );
    }

    public function set(Model $model, string $key, mixed $value, array $attributes): string
    {
        return json_encode(
            self::of($value ?? new Recipe()),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }
}
