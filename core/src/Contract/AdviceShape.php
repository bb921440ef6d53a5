<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Volume;
use Vinculum\Correction\Addition;
use Vinculum\Correction\Advice;
use Vinculum\Correction\Alternative;
use Vinculum\Correction\Correction;
use Vinculum\Correction\Design;
use Vinculum\Correction\DesignedLine;
use Vinculum\Correction\DesignSetup;
use Vinculum\Correction\StepCost;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Writing\AmountWriter;

/** What to add, what else can be done, and designs. The shapes of the public JSON contract, for the command line and for HTTP alike: grams, millilitres, mass percent. */
final class AdviceShape
{
    /** @return array<string, mixed> */
    public static function of(Advice $advice, Balance $balance, Measures $measures = Measures::Us): array
    {
        return [
            'before' => BalanceShape::axes($balance->axes, $advice->target),
            'distance_before' => Figure::round($advice->distanceBefore),
            'corrections' => array_map(static fn(Correction $correction): array => self::correction($correction, $advice, $balance), $advice->corrections),
            'notes' => $advice->notes,
            'other_ways' => array_map(static fn(Alternative $way): array => ['kind' => $way->kind, 'says' => $way->says, 'grams' => Figure::roundOrNull($way->grams), 'distance_after' => Figure::roundOrNull($way->distanceAfter)], $advice->otherWays),
            'levers' => self::levers($advice, $balance, $measures),
        ];
    }

    /** @return list<array<string, mixed>> what one step costs of each thing that may be added, the strongest first */
    private static function levers(Advice $advice, Balance $balance, Measures $measures): array
    {
        $levers = [];
        $spoons = Spoons::of($measures);
        foreach ($balance->mixture->grams() > 0.0 ? $advice->candidates : [] as $candidate) {
            $cost = StepCost::in($balance->load(), $candidate);
            if ($cost !== null) {
                $ingredient = $candidate->ingredient;
                $levers[] = [
                    'ingredient' => $ingredient->key,
                    'name' => $ingredient->name,
                    'axis' => $cost->axis->value,
                    'grams' => Figure::round($cost->grams),
                    'measure' => $ingredient->measure($cost->grams, $spoons),
                    'also' => (object) array_map(Figure::round(...), array_filter($cost->also, static fn(float $steps): bool => abs($steps) >= 0.1)),
                ];
            }
        }
        usort($levers, static fn(array $a, array $b): int => $a['grams'] <=> $b['grams']);

        return $levers;
    }

    /** @return list<string> the formula's lines with the amounts found: locked ones as they were, those that are not needed left out, new ones last */
    private static function designed(Design $design, Formula $formula, Measures $measures): array
    {
        $found = [];
        foreach ($design->lines as $line) {
            $found[$line->ingredient->key] = $line;
        }
        $texts = [];
        foreach ($formula->lines as $line) {
            $key = $line->ingredient?->key;
            if ($key === null || !DesignSetup::isFree($line)) {
                $texts[] = $line->text;
            } elseif (isset($found[$key])) {
                $texts[] = AmountWriter::inGrams($line, $found[$key]->grams, $measures);
                unset($found[$key]);
            }
        }

        return [...$texts, ...array_values(array_map(static fn(DesignedLine $line): string => str_replace(' whole', '', $line->measure) . ' ' . mb_strtolower($line->ingredient->name), $found))];
    }

    /** @return array<string, mixed> */
    private static function correction(Correction $correction, Advice $advice, Balance $balance): array
    {
        $added = array_map(static fn(Addition $addition): ResolvedLine => ResolvedLine::ofGrams($addition->ingredient, Amount::within($addition->grams, $addition->ingredient->texture->deviation())), $correction->additions);

        return [
            'additions' => array_map(static fn(Addition $addition): array => [
                'ingredient' => $addition->ingredient->key,
                'name' => $addition->ingredient->name,
                'grams' => Figure::round($addition->grams),
                'measure' => $addition->measure,
                'first_dose_grams' => Figure::round($addition->firstDoseGrams),
                'first_dose' => $addition->firstDose,
            ], $correction->additions),
            'after' => BalanceShape::axes($balance->axesAfter($added), $advice->target),
            'distance_after' => Figure::round($correction->distanceAfter),
            'added_grams' => Figure::round($correction->addedGrams),
            'batch_grams' => Figure::round($correction->mixture->grams()),
            'batch_millilitres' => Figure::round(Volume::millilitres($correction->mixture)),
            'side_effects' => $correction->sideEffects,
            'allergens_added' => $correction->allergensAdded,
        ];
    }

    /** @return array<string, mixed> */
    public static function design(Design $design, Formula $formula, Measures $measures): array
    {
        return [
            'texts' => self::designed($design, $formula, $measures),
            'lines' => array_map(static fn(DesignedLine $line): array => ['ingredient' => $line->ingredient->key, 'name' => $line->ingredient->name, 'grams' => Figure::round($line->grams), 'measure' => $line->measure, 'reason' => $line->reason], $design->lines),
            'distance' => Figure::round($design->distance),
            'tastes' => array_map(Figure::round(...), $design->taste->byAxis()),
            'hindrances' => $design->hindrances,
        ];
    }
}
