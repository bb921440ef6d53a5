<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Words;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\Taste;

/** Why a correction does what it does, in half a sentence: "water thins the salt; sugar puts back what else moves". */
final class CorrectionReason
{
    /** A move on an axis that is worth a word, in steps. */
    private const NOTICED = 0.2;

    /** @param non-empty-list<Addition> $additions the largest first */
    public static function of(Mixture $batch, Target $target, array $additions): string
    {
        $before = Taste::ofMixture($batch);
        $does = [];
        foreach ($additions as $position => $addition) {
            $moved = $before->stepsTo(Taste::ofMixture($batch->plus($addition->ingredient->grams($addition->grams))));
            $name = mb_strtolower($addition->ingredient->name);
            $clause = self::clause($before, $target, $moved, $position === 0);
            // "salt brings salt" says nothing
            $does[$clause === "brings {$name}" ? 'brings what it lacks' : $clause][] = $name;
        }
        $clauses = [];
        foreach (['thins', 'brings', 'puts back'] as $kind) {
            foreach ($does as $clause => $names) {
                if (str_starts_with($clause, $kind)) {
                    $clauses[] = Words::listed($names) . ' '
                        . (count($names) > 1 || self::isPlural($names[0]) ? self::plural($clause) : $clause);
                }
            }
        }

        return implode('; ', $clauses);
    }

    /**
     * The main addition thins what there is too much of; a smaller one that raises something else is there for that.
     *
     * @param array<value-of<Axis>, float> $moved what one addition moves, in steps
     */
    private static function clause(Taste $before, Target $target, array $moved, bool $isMain): string
    {
        $thinned = [];
        $brought = [];
        $raises = max([0.0, ...array_values($moved)]) > self::NOTICED;
        foreach ($moved as $key => $steps) {
            $axis = Axis::from($key);
            $off = $target->window($axis)?->off($axis, $before->on($axis)) ?? 0.0;
            if ($off > 0.0 && $steps < -self::NOTICED) {
                $thinned[] = $axis->brings();
            } elseif ($off < 0.0 && $steps > self::NOTICED) {
                $brought[] = $axis->brings();
            }
        }

        return match (true) {
            $brought !== [] => 'brings ' . Words::listed($brought),
            $thinned !== [] && ($isMain || !$raises) => 'thins the ' . Words::listed($thinned),
            default => 'puts back what else moves',
        };
    }

    /** "raisins", "bonito flakes"; not "molasses", "lemongrass" or "hummus". */
    private static function isPlural(string $name): bool
    {
        return preg_match('/(?<!s|u|i|molasse)s(?:,| \(|$)/u', $name) === 1;
    }

    private static function plural(string $clause): string
    {
        return str_replace(['brings', 'thins', 'puts'], ['bring', 'thin', 'put'], $clause);
    }
}
