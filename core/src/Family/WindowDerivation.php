<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TargetWindow;
use Vinculum\Sensory\Taste;

/**
 * Derives the windows of a family from where its reference formulas stand, on the scale of steps: their span within
 * Tukey's fences, so that one odd formula makes no edge, padded by what another kitchen's formula may differ.
 */
final class WindowDerivation
{
    /** How far beyond its references a family reaches: so many steps, and so much of their interquartile range. */
    private const PAD = 1.5;
    private const PAD_OF_RANGE = 0.5;

    /** Fewer references that reach an axis than this say nothing of how far it may go. */
    private const FEWEST = 2;

    /**
     * @param non-empty-list<Taste> $references
     *
     * @return array<value-of<Axis>, TargetWindow>
     */
    public static function windows(array $references): array
    {
        return Axis::each(static fn(Axis $axis): TargetWindow => self::window(
            $axis,
            array_map(static fn(Taste $taste): float => $axis->steps($taste->on($axis)), $references),
        ));
    }

    /**
     * The facts file of windows.
     *
     * @param array<string, non-empty-list<ReferenceFormula>> $references by family
     */
    public static function facts(array $references): string
    {
        $ini = "; Derived from the reference formulas in styles/ by bin/derive-families: do not edit. Low and high edge of each axis,\n"
            . "; in its unit.\n"
            . "; source: derived of the reference formulas by bin/derive-families\n";
        foreach ($references as $family => $formulas) {
            $ini .= "[{$family}]\nreferences = " . count($formulas) . "\n";
            $tastes = array_map(static fn(ReferenceFormula $formula): Taste => $formula->balance->taste, $formulas);
            foreach (self::windows($tastes) as $axis => $window) {
                $ini .= "{$axis} = {$window->low}, {$window->high}\n";
            }
        }

        return $ini;
    }

    /**
     * An axis that some references do not reach starts at nothing, and so does one that is only slight at its lower
     * edge; what is slight is never too much.
     *
     * @param non-empty-list<float> $positions in steps
     */
    private static function window(Axis $axis, array $positions): TargetWindow
    {
        [$low, $high] = Quantile::fenced($positions);
        $range = Quantile::interquartileRange($positions);
        $low -= self::PAD + self::PAD_OF_RANGE * $range;
        $reaching = array_values(array_filter($positions, static fn(float $steps): bool => $steps > 0.0));
        if (count($reaching) < count($positions)) {
            $low = 0.0;
            if (count($reaching) >= self::FEWEST) {
                [, $high] = Quantile::fenced($reaching);
                $range = Quantile::interquartileRange($reaching);
            }
        }
        $slight = $axis->steps($axis->slight());
        // schools far apart make a wide range, and no room beyond the purest of them
        $purest = max($positions) + 2.0 * self::PAD;
        $high = max($slight, min($purest, $high + self::PAD + self::PAD_OF_RANGE * $range));

        return TargetWindow::between(
            $low <= $slight ? 0.0 : self::rounded($axis->valueAt($low)),
            self::rounded($axis->valueAt($high)),
        );
    }

    /** Three significant figures. */
    private static function rounded(float $value): float
    {
        return round($value, 2 - (int) floor(log10($value)));
    }
}
