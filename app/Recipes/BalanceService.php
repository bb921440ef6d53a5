<?php

declare(strict_types=1);

namespace App\Recipes;

use App\CookSessions\HomeHob;
use App\Palate\PalateService;
use App\Pantry\Pantry;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Balance\SauceAsIngredient;
use Vinculum\Balance\Treatment;
use Vinculum\Cooking\Hob;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\Pan;
use Vinculum\Cooking\StagedCook;
use Vinculum\Correction\Candidate;
use Vinculum\Correction\UsualAdditions;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Report\AxisReport;
use Vinculum\Report\BalanceReport;
use Vinculum\Report\StandingReport;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Style\StyleBook;
use Vinculum\Style\StyleFamily;

/**
 * Asks the core where an edit stands.
 */
final class BalanceService
{
    /** @var array<string, Ingredient|null> sauces as ingredients, by key and revision, worked out once a request */
    private array $made = [];

    public function __construct(
        private readonly Pantry $pantry,
        private readonly SauceParts $parts,
        private readonly PalateService $palateService,
        private readonly HomeHob $hob,
    ) {}

    public function catalogue(): Catalogue
    {
        return $this->pantry->catalogue();
    }

    /** The hob as the kitchen's weighed cooks show it. */
    public function hob(): Hob
    {
        return $this->hob->known();
    }

    /** The formula, cooked by its stages as far as its pan and method tell. */
    public function formula(Recipe $edit): Formula
    {
        return $this->cook($edit)->formula;
    }

    public function cook(Recipe $edit): StagedCook
    {
        [$sauces, $refused] = $this->parts->namedIn($edit->lines, $edit->sauce);
        $formula = Formula::fromTexts(
            $edit->lines,
            $this->catalogue()->with($this->asIngredients($sauces)),
            $edit->measures,
            $edit->yield,
            $edit->partMillilitres,
            $edit->areLinesApart,
        );

        return StagedCook::of(
            $refused === [] ? $formula : $this->parts->without($refused, $formula),
            $edit->pan === null ? null : Pan::parse($edit->pan),
            $edit->method,
            $this->hob->known(),
        );
    }

    /** The same with each ingredient in a line of its own, headings kept. */
    public function linesApart(Recipe $edit): Recipe
    {
        return $edit->withLines(
            array_map(static fn(ResolvedLine $line): string => $line->written->text, $this->formula($edit)->lines),
            $edit->yield,
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

    public static function treatment(Recipe $edit): Treatment
    {
        return MethodReader::treatment($edit->method, besides: $edit->prose());
    }

    public function balance(Recipe $edit): Balance
    {
        return Balance::of($this->formula($edit), self::treatment($edit));
    }

    /** @return list<Candidate> what a correction may add when the cook names nothing, as far as it is there */
    public function usualAdditions(Recipe $edit, Balance $balance): array
    {
        return UsualAdditions::to($balance, $this->style($edit), $this->catalogue(), $this->pantry->usable(...));
    }

    /** A liked batch as a target; null where there is none, or nothing in it counts. */
    public function targetOf(?Recipe $liked): ?Target
    {
        $balance = $liked === null ? null : $this->balance($liked);

        return $balance === null || $balance->mixture->grams() <= 0.0 ? null : Target::around($balance->taste);
    }

    public function style(Recipe $edit): ?StyleFamily
    {
        return $edit->style !== null && StyleBook::has($edit->style)
            ? StyleBook::get($edit->style)->lettingGo($edit->letGo)
            : null;
    }

    /** Where this cook likes the family to stand; null without a style, or while nothing is learned of it. */
    public function own(Recipe $edit): ?Target
    {
        $style = $this->style($edit);

        return $style === null ? null : $this->palateService->target($style);
    }

    public function report(Recipe $edit): BalanceReport
    {
        $cook = $this->cook($edit);

        return $this->reportOn(Balance::of($cook->formula, self::treatment($edit)), $edit, $cook);
    }

    public function reportOn(Balance $balance, Recipe $edit, ?StagedCook $cook = null): BalanceReport
    {
        return BalanceReport::of(
            $balance,
            $edit->title === '' ? null : $edit->title,
            $this->style($edit),
            $edit->measures,
            $this->own($edit),
            $this->palateService->ownSteps(),
            $cook->notes ?? [],
            $cook->stages ?? [],
            $edit,
            $cook?->pan,
        );
    }

    /** @return array<value-of<Axis>, AxisReport> where a sauce stands, against its style and what this cook likes */
    public function axes(Balance $balance, Recipe $edit): array
    {
        return AxisReport::all(
            $balance->axes,
            $this->style($edit)?->target,
            $this->own($edit),
            $this->palateService->ownSteps(),
        );
    }

    /** What the shelf shows of a sauce. */
    public function standing(Balance $balance, Recipe $edit): StandingReport
    {
        return StandingReport::of($balance, $this->style($edit)?->target, $edit);
    }
}
