<?php

declare(strict_types=1);

namespace Vinculum\Comparison;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;

/**
 * What another product of the same kind did to a sauce: the later batch, against itself with the earlier product in it.
 */
final readonly class BrandEffect
{
    private const WORTH_A_WORD = 0.25;

    /** @param array<string, float> $steps by axis, what the new one does against the old */
    private function __construct(public Ingredient $old, public Ingredient $new, public array $steps) {}

    /** @return list<self> */
    public static function between(Formula $before, Formula $after): array
    {
        $olds = [];
        foreach ($before->lines as $line) {
            if ($line->ingredient !== null) {
                $olds[$line->ingredient->kind()] = $line->ingredient;
            }
        }
        $effects = [];
        foreach ($after->lines as $number => $line) {
            $old = $line->ingredient === null ? null : $olds[$line->ingredient->kind()] ?? null;
            if (
                $old === null
                || $line->ingredient === null
                || $line->grams === null
                || $old->key === $line->ingredient->key
            ) {
                continue;
            }
            $lines = $after->lines;
            $lines[$number] = ResolvedLine::ofGrams($old, $line->grams);
            $steps = Balance::of($after->withLines(...$lines))->taste->stepsTo(Balance::of($after)->taste);
            $effects[] = new self($old, $line->ingredient, $steps);
        }

        return $effects;
    }

    /** "with Hedgerow plums instead of Plum: 1.5 steps less sour"; that it makes no difference, where it makes none. */
    public function words(): string
    {
        $told = [];
        foreach (Axis::cases() as $axis) {
            $steps = $this->steps[$axis->value];
            if (abs($steps) >= self::WORTH_A_WORD) {
                $told[] = sprintf(
                    '%.1f steps %s %s',
                    abs($steps),
                    $steps > 0.0 ? 'more' : 'less',
                    $axis->adjective(),
                );
            }
        }

        return "with {$this->new->name} instead of {$this->old->name}: "
            . ($told === [] ? 'no difference that one could taste' : implode(', ', $told));
    }
}
