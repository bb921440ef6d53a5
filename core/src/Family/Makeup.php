<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Balance\Balance;
use Vinculum\Ingredient\Work;

/** What a sauce holds, and how much of it: by ingredient, and by the work that ingredients do. */
final readonly class Makeup
{
    /** g in 100 g: a spice tells by its name, not by all that it might do. */
    private const MORE_THAN_A_PINCH = 1.0;

    /**
     * @param array<string, float> $ingredients g in 100 g of the finished sauce, by ingredient key
     * @param array<string, float> $works the same, by key of the work
     */
    private function __construct(public array $ingredients, public array $works) {}

    public static function of(Balance $balance): self
    {
        $finished = $balance->mixture->grams();
        $ingredients = [];
        $works = [];
        foreach ($finished > 0.0 ? $balance->formula->lines : [] as $line) {
            if ($line->ingredient === null || !$line->countsInTheMixture()) {
                continue;
            }
            $kind = $line->ingredient->kind();
            $share = 100.0 * ($line->grams->value ?? 0.0) / $finished;
            $ingredients[$kind] = ($ingredients[$kind] ?? 0.0) + $share;
            foreach (Work::of($kind) as $work) {
                $works[$work] = ($works[$work] ?? 0.0) + $share;
            }
        }

        return new self($ingredients, $works);
    }

    /** @return list<string> what tells families apart: ingredients, and works that are more than a pinch, marked as such */
    public function features(): array
    {
        $works = array_filter($this->works, static fn(float $share): bool => $share >= self::MORE_THAN_A_PINCH);

        return [
            ...array_keys($this->ingredients),
            ...array_map(static fn(string $work): string => "work {$work}", array_keys($works)),
        ];
    }
}
