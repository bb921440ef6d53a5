<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Chemistry\Mixture;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetWindow;
use Vinculum\Sensory\Taste;
use Vinculum\Sensory\TasteLoad;

/**
 * Finds the free lines of a formula: some lines are fixed, a base fills the batch, and every gram of another free
 * ingredient takes the place of a gram of base. Bounded least squares on the steps outside the windows.
 */
final class DesignSearch
{
    /** Aimed at the middle of each window, so that rounding and doubt leave it inside. */
    private const MIDDLE = 0.3;
    private const ROUNDS = 120;
    /** Less than this share of the batch is left out of a design. */
    private const NOT_WORTH_A_LINE = 0.0004;

    /**
     * @param Mixture $fixed what the locked lines bring
     * @param Candidate $base fills what is left of the batch
     * @param list<Candidate> $free what may be used besides
     * @param float $batchGrams wanted size
     *
     * @throws \InvalidArgumentException when the locked lines alone fill the batch
     */
    public static function find(
        Mixture $fixed,
        Candidate $base,
        array $free,
        Target $target,
        float $batchGrams,
        Spoons $spoons,
    ): Design {
        $room = $batchGrams - $fixed->grams();
        if ($room <= 0.0) {
            throw new \InvalidArgumentException(
                sprintf(
                    'The locked lines weigh %.0f g and already fill the batch of %.0f g: unlock one, or make more.',
                    $fixed->grams(),
                    $batchGrams,
                ),
            );
        }
        $free = array_values(
            array_filter($free, static fn(Candidate $one): bool => $one->ingredient->key !== $base->ingredient->key),
        );
        $start = TasteLoad::of($fixed)->plus($base->perGram, $room);
        $rows = array_map(
            static fn(Candidate $one): array => TasteCurve::row($one->perGram->plus($base->perGram, -1.0)),
            $free,
        );
        $objective = Objective::towards($start, self::narrowed($target));
        $grams = self::fit($objective, $rows, Room::within($room, $free), $room);
        $lines = [];
        $load = $start;
        foreach ($free as $index => $one) {
            if ($grams[$index] < self::NOT_WORTH_A_LINE * $batchGrams) {
                continue;
            }
            [$density, $each] = [$one->ingredient->portions->density, $one->ingredient->portions->eachGrams()];
            $amount = $spoons->nearest($grams[$index], $density, $each);
            $load = $load->plus($one->perGram, $amount)->plus($base->perGram, -$amount);
            $lines[] = [$one, $amount, $spoons->measure($amount, $density, $each)];
            $room -= $amount;
        }
        if ($room >= 1.0) {
            $density = $base->ingredient->portions->density;
            $lines[] = [
                $base,
                round($room),
                $spoons->measure(round($room), $density > 0.0 && $room < 60.0 ? $density : null),
            ];
        }
        usort($lines, static fn(array $a, array $b): int => $b[1] <=> $a[1]);
        $taste = $load->taste();
        $designed = array_map(
            static fn(array $line): DesignedLine => new DesignedLine(
                $line[0]->ingredient,
                $line[1],
                $line[2],
                self::reason($line[0], $line[1], $load, $base),
            ),
            $lines,
        );

        return new Design(
            $designed,
            $taste,
            $target,
            $target->distance($taste),
            self::hindrances($target, $taste, $fixed, $free),
        );
    }

    /**
     * @param list<array<int, float>> $rows
     *
     * @return list<float>
     */
    private static function fit(Objective $objective, array $rows, Room $bounds, float $room): array
    {
        $count = count($rows);
        $best = [array_fill(0, $count, 0.0), INF];
        foreach ([0.0, 0.02, 0.1] as $share) {
            $found = $objective->fit(
                $rows,
                array_fill(0, $count, $share * $room / max(1, $count)),
                $bounds,
                array_keys($rows),
                self::ROUNDS,
            );
            if ($found[1] < $best[1]) {
                $best = $found;
            }
        }

        return $best[0];
    }

    private static function narrowed(Target $target): Target
    {
        $narrow = $target;
        foreach (Axis::cases() as $axis) {
            $window = $target->window($axis);
            if ($window !== null) {
                [$low, $high] = [$axis->steps($window->low), $axis->steps($window->high)];
                $inset = self::MIDDLE * ($high - $low);
                $narrow = $narrow->with(
                    $axis,
                    TargetWindow::between(
                        $window->low === 0.0 ? 0.0 : $axis->valueAt($low + $inset),
                        $axis->valueAt($high - $inset),
                    ),
                );
            }
        }

        return $narrow;
    }

    /** What a line is there for: the axis of which it brings the most. */
    private static function reason(Candidate $line, float $grams, TasteLoad $whole, Candidate $base): string
    {
        if ($line === $base) {
            return 'carries the rest';
        }
        $own = $line->perGram;
        $shares = [
            'sweetness' => $whole->sweet > 0.0 ? $own->sweet * $grams / $whole->sweet : 0.0,
            'sourness' => $whole->sour > 0.0 ? $own->sour * $grams / $whole->sour : 0.0,
            'salt' => $whole->salt > 0.0 ? $own->salt * $grams / $whole->salt : 0.0,
            'umami' => $whole->aminoAcids > 0.0 ? $own->aminoAcids * $grams / $whole->aminoAcids : 0.0,
            'heat' => $whole->heat > 0.0 ? $own->heat * $grams / $whole->heat : 0.0,
        ];
        arsort($shares);
        $share = (float) reset($shares);

        return $share < 0.05
            ? 'rounds it out'
            : sprintf('brings %d %% of the %s', (int) round(100.0 * min(1.0, $share)), (string) key($shares));
    }

    /**
     * @param list<Candidate> $free
     *
     * @return list<string>
     */
    private static function hindrances(Target $target, Taste $taste, Mixture $fixed, array $free): array
    {
        $hindrances = [];
        $alone = Taste::ofMixture($fixed);
        foreach (Axis::cases() as $axis) {
            $off = $target->window($axis)?->off($axis, $taste->on($axis)) ?? 0.0;
            if ($off > 0.25) {
                $isLocked = $alone->on($axis) > 0.0;
                $hindrances[] = sprintf(
                    '%s ends %.1f steps above its window: %s.',
                    ucfirst($axis->value),
                    $off,
                    $isLocked
                        ? 'the locked lines bring too much of it for this batch'
                        : 'what brings the other axes brings it too',
                );
            } elseif ($off < -0.25) {
                $brings = array_filter(
                    $free,
                    static fn(Candidate $one): bool => Taste::ofMixture(
                        $one->ingredient->composition->mixture,
                    )->on($axis) > $taste->on($axis),
                );
                $hindrances[] = sprintf(
                    '%s ends %.1f steps below its window: %s.',
                    ucfirst($axis->value),
                    -$off,
                    $brings === []
                        ? 'nothing that may be used brings any'
                        : 'more of what brings it would push another axis out',
                );
            }
        }

        return $hindrances;
    }
}
