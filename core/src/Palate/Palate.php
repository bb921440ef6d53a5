<?php

declare(strict_types=1);

namespace Vinculum\Palate;

use Vinculum\Facts\Facts;
use Vinculum\Facts\Words;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetWindow;
use Vinculum\Sensory\Verdict;

/**
 * A cook's own ideal for one family of sauces, axis by axis.
 *
 * The ideal position of an axis is taken to be normal, with the middle of the family's window as its prior mean and
 * half the window's width, between one step and two, as its prior standard deviation. A tasting that scores j on the
 * just-about-right scale where the sauce stands at s steps says that the ideal lies near s − 2.5·j, give or take 2.5
 * steps. Normal prior and normal noise make a normal posterior (Gelman and others, Bayesian Data Analysis, 3rd
 * edition, section 2.5; from memory):
 *
 *   1/σ² = 1/σ₀² + n/σₙ²      μ = σ²·(μ₀/σ₀² + Σ(sᵢ − 2.5·jᵢ)/σₙ²)
 */
final readonly class Palate
{
    /** @param array<string, PreferredPosition> $ideals by axis, for those that the family has a window on */
    private function __construct(public array $ideals, public int $tastings) {}

    /** @param list<Tasting> $tastings of sauces of this family */
    public static function learned(Target $family, array $tastings): self
    {
        $ideals = [];
        foreach (Axis::cases() as $axis) {
            $window = $family->window($axis);
            if ($window !== null) {
                $ideals[$axis->value] = self::ideal($axis, $window, $tastings);
            }
        }

        return new self($ideals, count($tastings));
    }

    /** The family's target with every window moved to where this cook likes it. */
    public function target(Target $family): Target
    {
        foreach ($this->ideals as $key => $preferred) {
            if ($preferred->tastings > 0) {
                $family = $family->moved(Axis::from($key), $preferred->shift());
            }
        }

        return $family;
    }

    /**
     * "you like it 1.4 steps sharper and 0.6 steps milder, from 6 tastings"; null while nothing is learned that could
     * be noticed.
     */
    public function words(): ?string
    {
        $shifts = array_filter(
            array_map(static fn(PreferredPosition $preferred): float => $preferred->shift(), $this->ideals),
            static fn(float $shift): bool => abs($shift) >= Verdict::NOTICED,
        );
        if ($shifts === []) {
            return null;
        }
        uasort($shifts, static fn(float $a, float $b): int => abs($b) <=> abs($a));
        $words = array_map(
            static fn(string $axis, float $shift): string => sprintf(
                '%.1f steps %s',
                abs($shift),
                Verdict::comparative(Axis::from($axis), $shift),
            ),
            array_keys($shifts),
            $shifts,
        );

        return 'you like it ' . Words::listed($words) . ", from {$this->tastings} "
            . ($this->tastings === 1 ? 'tasting' : 'tastings');
    }

    /** @param list<Tasting> $tastings */
    private static function ideal(Axis $axis, TargetWindow $window, array $tastings): PreferredPosition
    {
        $facts = Facts::of(LearningFacts::class);
        [$low, $high] = [$axis->steps($window->low), $axis->steps($window->high)];
        $prior = ($low + $high) / 2.0;
        [$least, $most] = $facts->prior;
        $precision = max($least, min($most, ($high - $low) / 2.0)) ** -2.0;
        $weighted = $prior * $precision;
        $noise = $facts->noise ** -2.0;
        $counted = 0;
        foreach ($tastings as $tasting) {
            if (self::isJudged($tasting, $axis)) {
                $precision += $noise;
                $weighted += $noise * ($tasting->steps[$axis->value] - $facts->point * $tasting->scores[$axis->value]);
                ++$counted;
            }
        }

        return new PreferredPosition($prior, $weighted / $precision, sqrt(1.0 / $precision), $counted);
    }

    /** What cannot be tasted cannot be just right: below the threshold only "too little" says anything. */
    private static function isJudged(Tasting $tasting, Axis $axis): bool
    {
        $score = $tasting->scores[$axis->value] ?? null;
        $steps = $tasting->steps[$axis->value] ?? null;

        return $score !== null && $steps !== null && ($steps > 0.0 || $score < 0.0);
    }
}
