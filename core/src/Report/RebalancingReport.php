<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\CookSession\CookPlan;
use Vinculum\CookSession\Rebalance;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Verdict;

/** A way on after something was poured over or under: what is still to go in, and how the taste then differs. */
final readonly class RebalancingReport extends Report
{
    /** A share, and grams, by which an amount differs from the plan before it is told. */
    private const CHANGED = 0.05;

    /**
     * @param list<array{line: int, name: string, planned_grams: float|null, grams: float, measure: string, is_changed: bool}> $lines from 1
     * @param array<value-of<Axis>, float> $changeSteps
     * @param float $awaySteps from the plan
     * @param string $says how it then tastes
     * @param float|null $factor by which all the rest is more or less, where it is all alike
     */
    private function __construct(
        public string $way,
        public array $lines,
        public array $changeSteps,
        public float $awaySteps,
        public string $says,
        public ?float $factor,
    ) {}

    public static function of(Rebalance $way, CookPlan $plan, Spoons $spoons): self
    {
        $lines = [];
        foreach ($way->grams as $line => $grams) {
            $planned = $plan->scale->lines[$line];
            $lines[] = [
                'line' => $line + 1,
                'name' => $planned->line->called(),
                'planned_grams' => $planned->grams,
                'grams' => $grams,
                'measure' => $plan->words($line, $grams, $spoons),
                'is_changed' => abs($grams - ($planned->grams ?? 0.0)) > self::CHANGED * $grams + self::CHANGED,
            ];
        }
        $planned = array_filter($lines, static fn(array $line): bool => ($line['planned_grams'] ?? 0.0) > 0.0);
        $first = array_values($planned)[0] ?? null;
        $told = Verdict::moves($way->changeSteps);

        return new self($way->way, $lines, $way->changeSteps, $way->away, match (true) {
            $way->away < Verdict::NOTICED => 'It tastes as planned.',
            default => 'It ends ' . Verdict::away($way->away) . ' away' . ($told === '' ? '.' : ": {$told}."),
        }, $way->way === 'in-proportion' && $first !== null ? $first['grams'] / (float) $first['planned_grams'] : null);
    }
}
