<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/**
 * The pan that a cook would take for a batch, where a recipe boils down and names none: what leaves is then estimated and
 * not passed over (handbook, "Cooking").
 */
final class AssumedPan
{
    /** Centimetres, by the millilitres up to which it is taken. */
    private const SIZES = [18 => 700.0, 24 => 2500.0, 28 => 5000.0, 32 => INF];
    /** Less than this at the open hob takes little. */
    private const OPEN_MINUTES = 10.0;

    private function __construct() {}

    /**
     * @param list<Stage> $stages
     *
     * @return Pan|null null where nothing tells that much water leaves
     */
    public static function for(array $stages, float $millilitres): ?Pan
    {
        $minutes = 0.0;
        $isTold = false;
        foreach ($stages as $stage) {
            foreach ($stage->steps as $step) {
                $isTold = $isTold || $step->left !== null || $step->downTo !== null
                    || $step->end !== null && $step->isAtTheHob();
                $minutes += $step->heat === null || $step->minutes === null
                    ? 0.0
                    : $step->openShare() * array_sum($step->minutes) / 2.0;
            }
        }
        if ($millilitres <= 0.0 || !$isTold && $minutes < self::OPEN_MINUTES) {
            return null;
        }

        return self::of($millilitres);
    }

    /** The pan that a cook takes for so much. */
    public static function of(float $millilitres): Pan
    {
        foreach (self::SIZES as $centimetres => $most) {
            if ($millilitres <= $most) {
                break;
            }
        }

        return Pan::assumed((float) $centimetres);
    }
}
