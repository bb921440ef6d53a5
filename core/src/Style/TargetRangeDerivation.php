<?php

declare(strict_types=1);

namespace Vinculum\Style;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TargetRange;
use Vinculum\Sensory\Taste;

/**
 * Derives the windows of a style from its reference formulas: their span on each axis, padded by one step either way.
 */
final class TargetRangeDerivation
{
    /**
     * Where each reference formula stands.
     *
     * @return list<Taste>
     *
     * @throws FactsFault when a reference holds a line that is not understood
     */
    public static function references(string $style, Catalogue $catalogue): array
    {
        $path = FactsFile::folder() . "/styles/{$style}.txt";
        $text = is_file($path) ? (string) file_get_contents($path) : throw FactsFault::unreadable($path);
        $tastes = [];
        foreach (preg_split('/^(?=# )/m', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $formulaText) {
            $recipe = RecipeReader::read($formulaText);
            $formula = Formula::fromTexts(
                $recipe->ingredientTexts(),
                $catalogue,
                Measures::Us,
                $recipe->yield,
            );
            foreach ($formula->lines as $line) {
                if (!$line->countsInTheMixture()) {
                    throw FactsFault::unknownKey("line in style {$style}", $line->text);
                }
            }
            $tastes[] = Balance::of($formula)->taste;
        }

        return $tastes;
    }

    /**
     * @param non-empty-list<Taste> $references
     *
     * @return array<string, TargetRange> by axis
     */
    public static function windows(array $references): array
    {
        $windows = [];
        foreach (Axis::cases() as $axis) {
            $values = array_map(static fn(Taste $taste): float => $taste->on($axis), $references);
            $step = exp($axis->stepWidth());
            $low = min($values) / $step;
            $windows[$axis->value] = TargetRange::between(
                $low <= $axis->threshold() ? 0.0 : self::rounded($low),
                self::rounded(max(max($values), $axis->threshold()) * $step),
            );
        }

        return $windows;
    }

    /** Three significant figures. */
    private static function rounded(float $value): float
    {
        return round($value, 2 - (int) floor(log10($value)));
    }
}
