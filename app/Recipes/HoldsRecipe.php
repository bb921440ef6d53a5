<?php

declare(strict_types=1);

namespace App\Recipes;

use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;

/**
 * A stored state of a recipe: the columns that a sauce, its versions and its batches share.
 *
 * @property string            $title
 * @property string|null       $style
 * @property Measures          $measures
 * @property string|null       $yield    as written
 * @property float|null        $part_ml  the vessel that a "part" is
 * @property list<string>|null $method   one step a line
 * @property string|null       $pan      as a cook names it
 * @property int|null          $servings that it makes
 * @property list<array{text: string, why: string, sure?: bool}>|null $set_aside what else stood on its page
 * @property list<string>|null $let_go   axes that do not count for it
 *
 * @phpstan-type WrittenRecipe array{
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
 *     lines: list<string>,
 * }
 */
trait HoldsRecipe
{
    public function initializeHoldsRecipe(): void
    {
        $this->mergeFillable([
            'title',
            'style',
            'measures',
            'yield',
            'part_ml',
            'method',
            'pan',
            'servings',
            'set_aside',
            'let_go',
        ]);
        $this->mergeCasts([
            'measures' => Measures::class,
            'method' => 'array',
            'part_ml' => 'float',
            'servings' => 'integer',
            'set_aside' => 'array',
            'let_go' => 'array',
        ]);
    }

    /** @return array<string, mixed> a recipe as these columns; its lines are stored by each in its own way */
    public static function columnsOf(Recipe $recipe): array
    {
        return [
            'title' => $recipe->title,
            'style' => $recipe->style,
            'measures' => $recipe->measures,
            'yield' => $recipe->yield,
            'part_ml' => $recipe->partMillilitres,
            'method' => $recipe->method,
            'pan' => $recipe->pan,
            'servings' => $recipe->servings,
            'set_aside' => $recipe->setAside,
            'let_go' => $recipe->letGo,
        ];
    }

    /** As it was written. */
    public function recipe(): Recipe
    {
        return new Recipe(
            $this->title,
            $this->style,
            $this->texts(),
            $this->method ?? [],
            $this->measures,
            $this->yield,
            $this->part_ml,
            $this->pan,
            $this->sauceNumber(),
            areLinesApart: $this->areLinesApart(),
            servings: $this->servings,
            setAside: $this->set_aside ?? [],
            letGo: $this->let_go ?? [],
        );
    }

    /** @return WrittenRecipe as it is sent */
    public function written(): array
    {
        return [
            'title' => $this->title,
            'style' => $this->style,
            'measures' => $this->measures->value,
            'yield' => $this->yield,
            'part_ml' => $this->part_ml,
            'method' => $this->method ?? [],
            'pan' => $this->pan,
            'servings' => $this->servings,
            'set_aside' => $this->set_aside ?? [],
            'let_go' => $this->let_go ?? [],
            'lines' => $this->texts(),
        ];
    }

    /** @return list<string> its lines as written */
    abstract public function texts(): array;

    /** Whether each of its lines names one ingredient, because several were taken apart when it was stored. */
    protected function areLinesApart(): bool
    {
        return false;
    }

    /** The sauce that it is a state of. */
    abstract protected function sauceNumber(): int;
}
