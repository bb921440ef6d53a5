<?php

declare(strict_types=1);

namespace Vinculum\Kitchen;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Balance\Treatment;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\MethodStep;
use Vinculum\Cooking\StagedCook;
use Vinculum\Family\Family;
use Vinculum\Family\FamilyBook;
use Vinculum\Family\FamilyGuess;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Recipe\Recipe;
use Vinculum\Sensory\Aim;

/** A recipe as it was weighed in a kitchen, against what is wanted: what every question about a sauce is asked of. */
final class Sauce
{
    /** Worked out when it is first asked for: a search through swaps asks for that of a few of them alone. */
    private ?Balance $balance = null;
    private ?bool $isCooked = null;

    /** @param StagedCook|null $cook how its formula came to be cooked; null where it stands as it is */
    public function __construct(
        public readonly Kitchen $kitchen,
        public readonly Recipe $recipe,
        public readonly Formula $formula,
        public readonly Treatment $treatment,
        public readonly ?Family $family,
        public readonly Aim $aim,
        public readonly ?StagedCook $cook = null,
    ) {}

    public function balance(): Balance
    {
        return $this->balance ??= Balance::of($this->formula, $this->treatment);
    }

    public function catalogue(): Catalogue
    {
        return $this->kitchen->catalogue;
    }

    public function measures(): Measures
    {
        return $this->recipe->measures;
    }

    /** What the cook measures with. */
    public function spoons(): Spoons
    {
        return $this->kitchen->spoons($this->measures());
    }

    public function title(): ?string
    {
        return $this->recipe->title === '' ? null : $this->recipe->title;
    }

    /** @return list<string> what was found odd while its recipe was read, and while it cooked */
    public function notes(): array
    {
        return [...$this->recipe->notes, ...($this->cook->notes ?? [])];
    }

    /**
     * Whether it was at the heat, simmered or only warmed: as its method says; where there is none, as its family always is, the one it is of or
     * surely looks like. For what may go into it, never for what is safe.
     */
    public function isCooked(): bool
    {
        $treatment = $this->treatment;

        return $this->isCooked ??= $treatment->isCooked || $this->isWarmed()
            || ($treatment->method === [] && $this->likeliestFamily()?->usage->isCooked === true);
    }

    /** "Stir over low heat until it coats a spoon": no simmer, and no raw sauce either. */
    private function isWarmed(): bool
    {
        return array_filter(
            MethodReader::steps($this->treatment->method),
            static fn(MethodStep $step): bool => $step->isAtTheHob(),
        ) !== [];
    }

    /** The family that it is of, or the one that it surely looks like; null where nobody can tell. */
    public function likeliestFamily(): ?Family
    {
        $balance = $this->balance();
        $key = $this->family === null
            ? FamilyGuess::presumed($balance, FamilyGuess::for($balance, $this->title()))
            : null;

        return $key === null ? $this->family : FamilyBook::get($key);
    }

    public function cookedAs(StagedCook $cook): self
    {
        return $this->with($cook->formula, $cook);
    }

    /** With other lines, cooked as it is. */
    public function having(Formula $formula): self
    {
        return $this->with($formula, $this->cook);
    }

    /** Everything that goes in, before any cooking. */
    public function asMixed(): self
    {
        return $this->with($this->formula->uncooked(), null);
    }

    /** Held against a family that nobody named: what was weighed stays as it is. */
    public function asOne(Family $family): self
    {
        $recipe = $this->recipe->inStyle($family->key);
        $sauce = new self(
            $this->kitchen,
            $recipe,
            $this->formula,
            $this->treatment,
            $family,
            $this->kitchen->aim($recipe),
            $this->cook,
        );
        $sauce->balance = $this->balance;

        return $sauce;
    }

    private function with(Formula $formula, ?StagedCook $cook): self
    {
        return new self($this->kitchen, $this->recipe, $formula, $this->treatment, $this->family, $this->aim, $cook);
    }
}
