<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Database\Stored;
use App\Hob\HomeHob;
use App\Palate\PalateService;
use App\Pantry\Pantry;
use App\Pantry\Tools;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Balance\SauceAsIngredient;
use Vinculum\Balance\Treatment;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Kitchen\Sauce as WeighedSauce;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Report\StandingReport;
use Vinculum\Sensory\Target;

/** This home's kitchen: its own products, its shelf, its hob, its cook's tongue, and the sauces that are parts of others. */
final class HomeKitchen
{
    /** @var array<string, Ingredient|null> sauces as ingredients, by key and revision, worked out once a request */
    private array $made = [];

    public function __construct(
        private readonly Pantry $pantry,
        private readonly SauceParts $parts,
        private readonly PalateService $palateService,
        private readonly HomeHob $hob,
        private readonly Tools $tools,
    ) {}

    public function catalogue(): Catalogue
    {
        return $this->pantry->catalogue();
    }

    /** A recipe of the home, cooked by its stages as far as its pan and method tell. */
    public function weigh(Recipe $recipe): WeighedSauce
    {
        [$sauces, $refused] = $this->parts->namedIn($recipe->texts(), $recipe->sauce);
        $kitchen = $this->kitchen()->with($this->asIngredients($sauces));
        $formula = $kitchen->formula($recipe);

        return $kitchen->cooked($recipe, $refused === [] ? $formula : $this->parts->without($refused, $formula));
    }

    /** A sauce was written: those that are made with it are made otherwise now. */
    public function changed(): void
    {
        $this->made = [];
    }

    /** What is in the pan of a recipe, whatever its method would have made of it. */
    public function weighPan(Recipe $recipe, Formula $pan, Treatment $treatment): WeighedSauce
    {
        return $this->kitchen()->asItIs($recipe, $pan, $treatment);
    }

    public function balance(Recipe $recipe): Balance
    {
        return $this->weigh($recipe)->balance();
    }

    public function formula(Recipe $recipe): Formula
    {
        return $this->weigh($recipe)->formula;
    }

    /** @return Stored<StandingReport> what the shelf shows of a sauce, against what is wanted today */
    public function standing(Sauce $sauce): Stored
    {
        return new Stored(StandingReport::heldAgainst($sauce->standing, $this->kitchen()->aim($sauce->recipe)));
    }

    /** The same with each ingredient in a line of its own, headings kept. */
    public function linesApart(Recipe $recipe): Recipe
    {
        $lines = $this->formula($recipe)->lines;

        return $recipe->withLines(
            array_map(
                static fn(RecipeLine $line): RecipeLine => $line->apart(),
                RecipeLine::numbered(array_map(static fn(ResolvedLine $line): string => $line->written->text, $lines)),
            ),
            $recipe->yield,
        );
    }

    /** A liked batch as a target; null where there is none, or nothing in it counts. */
    public function targetOf(?Recipe $liked): ?Target
    {
        $balance = $liked === null ? null : $this->balance($liked);

        return $balance === null || $balance->mixture->grams() <= 0.0 ? null : Target::around($balance->taste);
    }

    public function kitchen(): Kitchen
    {
        return new Kitchen(
            $this->catalogue(),
            $this->hob->known(),
            $this->palateService,
            $this->pantry,
            hasScale: $this->tools->hasScale(),
            readiesFirst: $this->tools->readiesFirst(),
        );
    }

    /**
     * Sauces as they stand, as something that goes into another; those of which nothing counts are none.
     *
     * @param array<string, Sauce> $sauces by key
     *
     * @return array<string, Ingredient> by key
     */
    private function asIngredients(array $sauces): array
    {
        $ingredients = [];
        foreach ($sauces as $key => $sauce) {
            $known = "{$key} {$sauce->revision}";
            $made = $this->made[$known] ??= SauceAsIngredient::of(
                $key,
                $sauce->recipe->title,
                $this->balance($sauce->recipe),
            );
            if ($made !== null) {
                $ingredients[$key] = $made;
            }
        }

        return $ingredients;
    }
}
