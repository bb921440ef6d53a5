<?php

declare(strict_types=1);

namespace Vinculum\Kitchen;

use Vinculum\Balance\Formula;
use Vinculum\Balance\Treatment;
use Vinculum\Cooking\Hob;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\Pan;
use Vinculum\Cooking\StagedCook;
use Vinculum\Cooking\YieldClaim;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Family\Family;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\Resolution\MethodAmounts;
use Vinculum\Sensory\Aim;

/**
 * Where a sauce is made: what there is to make it of, how hot the hob is, what the cook likes. The one way from a recipe
 * to a weighed sauce.
 */
final readonly class Kitchen
{
    /**
     * @param Catalogue $catalogue shipped facts, with the cook's own products
     * @param bool $keepsHeadings whether headings stay lines of a formula, as on the bench
     * @param bool $hasScale whether the cook can weigh
     * @param bool $readiesFirst whether all is weighed out before the heat
     */
    public function __construct(
        public Catalogue $catalogue,
        public Hob $hob,
        private ?Liking $liking = null,
        private ?Stock $stock = null,
        private bool $keepsHeadings = true,
        public bool $hasScale = true,
        public bool $readiesFirst = false,
    ) {}

    /** Of the shipped facts alone, for answers that are printed. */
    public static function shipped(): self
    {
        return new self(Catalogue::shipped(), Hob::unknown(), keepsHeadings: false);
    }

    /** What the cook measures with. */
    public function spoons(Measures $measures): Spoons
    {
        return Spoons::of($measures, hasScale: $this->hasScale);
    }

    /** @return list<AnsweredTaste> what this cook made of the answers to tastes of a family */
    public function answers(?Family $family): array
    {
        return $family === null ? [] : ($this->liking?->answers($family) ?? []);
    }

    /**
     * The same, where more is known by name.
     *
     * @param array<string, Ingredient> $ingredients by key
     */
    public function with(array $ingredients): self
    {
        return $ingredients === [] ? $this : new self(
            $this->catalogue->with($ingredients),
            $this->hob,
            $this->liking,
            $this->stock,
            $this->keepsHeadings,
            $this->hasScale,
            $this->readiesFirst,
        );
    }

    /**
     * The recipe that a text holds, with at least one line.
     *
     * @throws RecipeFault where it holds none
     */
    public function read(string $text): Recipe
    {
        return RecipeReader::read($text, $this->catalogue);
    }

    /**
     * The same, where what is written may be no more than a title yet.
     *
     * @throws RecipeFault where it is no text
     */
    public function readBegun(string $text): Recipe
    {
        return RecipeReader::written($text, $this->catalogue);
    }

    /**
     * @return non-empty-list<Recipe> every recipe that a text holds
     *
     * @throws RecipeFault where it holds none
     */
    public function readAll(string $text): array
    {
        return RecipeReader::readAll($text, $this->catalogue);
    }

    /** @param Treatment $measured what an instrument read of it */
    public function weigh(Recipe $recipe, Treatment $measured = new Treatment()): Sauce
    {
        $read = $this->formula($recipe);
        $measures = new MethodAmounts($this->catalogue, $recipe->measures);
        $recipe = $recipe->withNotes($measures->notes($recipe->method, $read->lines));

        return $this->cooked(
            $this->keepsHeadings ? $recipe : $recipe->withNotes($read->sizesSaid()),
            $this->keepsHeadings ? $read : $read->ofIngredients(),
            $measured,
        );
    }

    /** The lines as they are understood, before any cooking. */
    public function formula(Recipe $recipe): Formula
    {
        return Formula::fromLines(
            $this->keepsHeadings ? $recipe->lines : $recipe->ingredientLines(),
            $this->catalogue,
            $recipe->measures,
            $recipe->yield ?? YieldClaim::in($recipe->method),
            $recipe->partMillilitres,
        );
    }

    /** A formula of this recipe, taken through the stages of its method as far as pan and times tell. */
    public function cooked(Recipe $recipe, Formula $formula, Treatment $measured = new Treatment()): Sauce
    {
        $cook = StagedCook::of(
            $formula,
            $recipe->pan === null ? null : Pan::parse($recipe->pan),
            $recipe->method,
            $this->hob,
            $this->keepsHeadings ? [] : $recipe->stages(),
        );

        $treatment = MethodReader::treatment($recipe->method, $measured, $recipe->prose());

        return $this->asItIs($recipe, $cook->formula, $treatment)->cookedAs($cook);
    }

    /** A formula of this recipe that stands as it is: what is in the pan already, or was never cooked. */
    public function asItIs(Recipe $recipe, Formula $formula, Treatment $treatment): Sauce
    {
        return new Sauce($this, $recipe, $formula, $treatment, self::family($recipe), $this->aim($recipe));
    }

    /**
     * What a recipe is held against: its family as this cook likes it, without the axes that do not count for it, and
     * with those that the cook has put elsewhere for it.
     */
    public function aim(Recipe $recipe): Aim
    {
        $family = self::family($recipe);

        return Aim::of(
            $family?->target,
            $family === null ? null : $this->liking?->target($family),
            $this->liking?->ownSteps() ?? [],
            $recipe->ignoredAxes,
        )->placing(array_diff_key($recipe->places, array_flip($recipe->ignoredAxes)));
    }

    /**
     * Of these, what there is, or what stands in its place: everything where nobody keeps a shelf.
     *
     * @param list<string> $keys
     *
     * @return list<string>
     */
    public function usable(array $keys): array
    {
        return $this->stock?->usable($keys) ?? $keys;
    }

    private static function family(Recipe $recipe): ?Family
    {
        return $recipe->style !== null && FamilyBook::has($recipe->style) ? FamilyBook::get($recipe->style) : null;
    }
}
