<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\CookSession\CookPlan;
use Vinculum\CookSession\Rebalance;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;

/** A way on after something was poured over or under: what is still to go in, and how the taste then differs. */
final readonly class RebalancingReport extends Report
{
    /**
     * @param list<array{line: int, name: string, planned_grams: float|null, grams: float, measure: string}> $lines from 1
     * @param array<value-of<Axis>, float>                                                                   $changeSteps
     * @param float                                                                                          $awaySteps from the plan
     */
    private function __construct(
        public string $way,
        public array $lines,
        public array $changeSteps,
        public float $awaySteps,
    ) {}

    public static function of(Rebalance $way, CookPlan $plan, Spoons $spoons): self
    {
        $lines = [];
        foreach ($way->grams as $line => $grams) {
            $planned = $plan->scale->lines[$line];
            $lines[] = [
                'line' => $line + 1,
                'name' => $planned->line->ingredient->name ?? $planned->line->text(),
                'planned_grams' => $planned->grams,
                'grams' => $grams,
                'measure' => $plan->words($line, $grams, $spoons),
            ];
        }

        return new self($way->way, $lines, $way->changeSteps, $way->away);
    }
}
