<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Balance\Balance;
use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Spoons;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/** The line that is to be replaced, and the sauce it stands in. */
final readonly class SwapTask
{
    /** A line that raises no axis by this much has no main axis. */
    private const HAS_MAIN = 0.3;
    /** The share of a sauce from which a plant is what it is made of. */
    private const BULK_FROM = 0.1;
    /** In a longer formula a search would take seconds. */
    private const MOST_LINES = 1000;

    public ResolvedLine $old;
    public Ingredient $gone;
    public Mixture $whole;
    /** The sauce whose taste is kept. */
    public Mixture $meant;
    public Taste $before;
    /** The axis that the line raises most; what only dilutes has none. */
    public ?Axis $main;
    public Balance $balance;
    public Spoons $spoons;

    public Formula $formula;
    /** What it may hold besides: no allergen, and nothing of an animal, that this lacks. */
    public Formula $eaten;
    public Catalogue $catalogue;

    /**
     * @param int $line from 0
     * @param list<int> $settled lines, from 0, that are as an earlier swap left them
     * @param Mixture|null $meant what the whole is to taste as, where an earlier swap has moved it already
     * @param Formula|null $eaten what whoever eats it is known to bear, where an earlier swap has put more in
     *
     * @throws SwapFault when there is nothing in that line to replace
     */
    public function __construct(
        Sauce $sauce,
        public int $line,
        public SwapReason $reason,
        public array $settled = [],
        ?Mixture $meant = null,
        ?Formula $eaten = null,
    ) {
        $formula = $sauce->formula;
        [$this->formula, $this->catalogue, $this->eaten] = [$formula, $sauce->catalogue(), $eaten ?? $formula];
        if (count($formula->lines) > self::MOST_LINES) {
            throw SwapFault::tooLong(count($formula->lines), self::MOST_LINES);
        }
        $this->old = $formula->lines[$line] ?? throw SwapFault::noSuchLine($line + 1, count($formula->lines));
        $this->gone = $this->old->ingredient ?? throw SwapFault::notKnown($line + 1, $this->old->text());
        $this->balance = $sauce->balance();
        $this->whole = $this->balance->mixture;
        $this->meant = $meant ?? $this->whole;
        $this->before = $meant === null ? $this->balance->taste : Taste::ofMixture($meant);
        $without = Taste::ofMixture(FinishedBatch::of($this->without())->mixture);
        $this->main = self::mainAxis($this->balance->taste, $without);
        $this->spoons = $sauce->spoons();
    }

    /**
     * The line that a person means by the number of its text, and of the thing in it where that names several.
     *
     * @param int $number from 1
     * @param int $part from 1
     *
     * @return int from 0
     *
     * @throws SwapFault where there is none
     */
    public static function lineNumbered(Formula $formula, int $number, int $part = 1): int
    {
        $numbers = $formula->numbers();
        $things = array_keys($numbers, $number, true);

        return $things[$part - 1] ?? throw ($things === []
            ? SwapFault::noSuchLine($number, max([0, ...$numbers]))
            : SwapFault::noSuchThing($number, $part, count($things)));
    }

    /**
     * What a line of the recipe names, by the line's own number.
     *
     * @param int $part from 1
     *
     * @return int from 0
     *
     * @throws SwapFault where there is none
     */
    public static function lineWithId(Formula $formula, int $id, int $part = 1): int
    {
        $line = $formula->lineOf($id);
        if ($line === null) {
            throw SwapFault::noSuchLine($id, max([0, ...$formula->numbers()]));
        }

        return self::lineNumbered($formula, $formula->numbers()[$line], $part);
    }

    /** Grams of the line as it stands. */
    public function grams(): float
    {
        return $this->old->grams->value ?? 0.0;
    }

    /** Whether another line holds it already: more of that is the last thing a cook thinks of. */
    public function isInTheRecipe(Ingredient $ingredient): bool
    {
        if ($ingredient->kind() === $this->gone->kind()) {
            return false;
        }
        foreach ($this->formula->lines as $number => $line) {
            if ($number !== $this->line && $line->ingredient?->kind() === $ingredient->kind()) {
                return true;
            }
        }

        return false;
    }

    /** Whether a vegetable, a fruit or meat is much of it: a cook takes about as much of another. */
    public function isBulk(): bool
    {
        $isPlant = in_array('plant', $this->gone->kinds, true)
            && array_intersect(['fresh', 'cooked'], $this->gone->kinds) !== []
            && array_intersect(['vegetable', 'fruit', 'base'], $this->gone->roles) !== []
            && !in_array('juice', $this->gone->kinds, true);

        return ($isPlant || array_intersect(['meat', 'fish', 'shellfish'], $this->gone->kinds) !== [])
            && $this->grams() >= self::BULK_FROM * $this->whole->grams();
    }

    /** Whether a thing is cooked where the line says that the old one is roasted. */
    public function isInItsState(Ingredient $ingredient): bool
    {
        return !FactsFile::named('states')['roasted']->isSaidIn($this->old->written->ownWords(), 'words')
            || in_array('cooked', $ingredient->kinds, true)
            || !in_array('fresh', $ingredient->kinds, true);
    }

    /** What a sauce is made of for its body: it is not halved, and no water is put beside it. */
    public function carriesFat(): bool
    {
        return in_array('fat', array_map(static fn(Role $role): string => $role->by, Role::of($this->gone)), true);
    }

    /** Whether the line says no amount: then kinship alone tells what does instead, and about how much of it. */
    public function isByNameAlone(): bool
    {
        return !$this->old->countsInTheMixture();
    }

    private function without(): Formula
    {
        $lines = $this->formula->lines;
        unset($lines[$this->line]);

        return $this->formula->withLines(...$lines);
    }

    private static function mainAxis(Taste $with, Taste $without): ?Axis
    {
        $brought = $without->stepsTo($with);
        arsort($brought);

        return reset($brought) >= self::HAS_MAIN ? Axis::from((string) key($brought)) : null;
    }
}
