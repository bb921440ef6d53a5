<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Balance\Balance;
use Vinculum\Ingredient\Work;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/** What a sauce holds, and how much of it: by ingredient, and by the work that ingredients do. */
final readonly class Makeup
{
    /** g in 100 g: a spice tells by its name, not by all that it might do. */
    private const MORE_THAN_A_PINCH = 1.0;
    /** A thing that is so many times above what is slight moves an axis though it is a little of the whole. */
    private const MOVES = 10.0;

    /**
     * @param array<string, float> $ingredients g in 100 g of the finished sauce, by ingredient key
     * @param array<string, float> $works the same, by key of the work
     * @param list<string> $unweighed keys of ingredients that have no amount: they are in it all the same
     * @param list<Axis> $silent axes that what has no amount may have moved: where it stands on them is not known
     */
    private function __construct(
        public array $ingredients,
        public array $works,
        public array $unweighed,
        public array $silent,
    ) {}

    public static function of(Balance $balance): self
    {
        $finished = $balance->mixture->grams();
        $ingredients = [];
        $works = [];
        $unweighed = [];
        // salt is what a recipe leaves to the cook: where none is written, that says nothing
        $silent = $finished > 0.0
            ? ($balance->taste->salt < Axis::Salt->slight() ? [Axis::Salt] : [])
            : Axis::cases();
        foreach ($balance->formula->lines as $line) {
            if ($line->ingredient === null) {
                continue;
            }
            $kind = $line->ingredient->kind();
            if (!$line->countsInTheMixture() || $finished <= 0.0) {
                $unweighed[] = $kind;
                $alone = Taste::ofMixture($line->ingredient->composition->mixture);
                $silent = [
                    ...$silent,
                    ...array_filter(
                        Axis::cases(),
                        static fn(Axis $axis): bool => $alone->on($axis) > self::MOVES * $axis->slight(),
                    ),
                ];
                continue;
            }
            $share = 100.0 * ($line->grams->value ?? 0.0) / $finished;
            $ingredients[$kind] = ($ingredients[$kind] ?? 0.0) + $share;
            foreach (Work::of($kind) as $work) {
                $works[$work] = ($works[$work] ?? 0.0) + $share;
            }
        }

        return new self(
            $ingredients,
            $works,
            array_values(array_unique(array_diff($unweighed, array_keys($ingredients)))),
            array_values(array_unique($silent, SORT_REGULAR)),
        );
    }

    /** @return list<string> keys of all that is in it, with an amount or without */
    public function things(): array
    {
        return [...array_keys($this->ingredients), ...$this->unweighed];
    }

    /**
     * What tells families apart: ingredients, and works that are more than a pinch, marked as such. Of a bare list of
     * names every work counts.
     *
     * @return list<string>
     */
    public function features(): array
    {
        $works = array_keys(array_filter(
            $this->works,
            static fn(float $share): bool => $share >= self::MORE_THAN_A_PINCH,
        ));
        if ($this->ingredients === []) {
            $works = array_values(array_unique(array_merge(...array_map(Work::of(...), $this->unweighed))));
        }

        return [...$this->things(), ...array_map(static fn(string $work): string => "work {$work}", $works)];
    }
}
