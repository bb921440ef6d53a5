<?php

declare(strict_types=1);

namespace Vinculum\Quantity;

/**
 * What a kitchen can measure: spoons down to an eighth of a teaspoon for small amounts, the scale for large ones.
 */
final readonly class Spoons
{
    private const MOST_COUNTED = 12.5;
    /** Above this many millilitres the scale is less work than spoons. */
    private const SPOON_LIMIT_TABLESPOONS = 4.0;

    /** So few of a thing are measured in quarters of one, more in halves. */
    private const IN_QUARTERS_TO = 2.0;
    /** A notch that misses by more than this share gives way to a finer one. */
    private const CLOSE = 0.04;

    private function __construct(
        private float $teaspoon,
        private float $tablespoon,
        private float $scaleGrams,
        private Vessels $vessels,
        public bool $hasScale,
    ) {}

    /**
     * @param float $scaleGrams the resolution of the scale
     * @param bool $hasScale whether there is one: else what is much is said in cups
     */
    public static function of(Measures $measures, float $scaleGrams = 1.0, bool $hasScale = true): self
    {
        return new self(
            (float) Units::get('teaspoon', $measures)->millilitres,
            (float) Units::get('tablespoon', $measures)->millilitres,
            $scaleGrams,
            Vessels::of($measures),
            $hasScale,
        );
    }

    /** So much to the gram: on the scale, and in cups and spoons where there is none. */
    public function exactly(float $grams, ?float $density, ?float $each): Measure
    {
        return $this->hasScale ? Measure::weighed($grams) : $this->measure($grams, $density, $each);
    }

    /** Whether the scale says so much: there is one, and it is not too coarse. */
    public function weighs(float $grams): bool
    {
        return $this->hasScale && $grams >= $this->scaleGrams;
    }

    /** Millilitres of one. */
    public function teaspoon(): float
    {
        return $this->teaspoon;
    }

    /**
     * The measurable amounts just below and just above what was asked, in grams; the lower may be 0.
     *
     * @param float|null $density g/ml, null for what cannot be spooned
     * @param float|null $each grams of one, for what is counted; it is measured in quarters and halves
     *
     * @return array{float, float}
     */
    public function neighbours(float $grams, ?float $density, ?float $each = null): array
    {
        if (self::isCounted($grams, $each)) {
            return self::around($grams, $each / ($grams < self::IN_QUARTERS_TO * $each ? 4.0 : 2.0));
        }
        $pair = self::around($grams, $this->notch($grams, $density));
        if ($density !== null && self::off($grams, $pair) > self::CLOSE && $this->isSpooned($grams, $density)) {
            $isSmall = $grams / $density < $this->tablespoon - 1e-6;

            return self::around($grams, $density * $this->teaspoon / ($isSmall ? 8.0 : 2.0));
        }

        return $pair;
    }

    /**
     * The amounts just below and above on the scale, in notches that suit so much.
     *
     * @return array{float, float}
     */
    public function weighed(float $grams): array
    {
        return self::around($grams, $this->notch($grams, null));
    }

    /** @return array{float, float} */
    private static function around(float $grams, float $notch): array
    {
        $below = floor($grams / $notch + 1e-9) * $notch;

        return [$below, $below + $notch];
    }

    /**
     * How far the nearer of two amounts is off, as a share.
     *
     * @param array{float, float} $pair
     */
    private static function off(float $grams, array $pair): float
    {
        return $grams > 0.0 ? min(abs($pair[0] - $grams), abs($pair[1] - $grams)) / $grams : 0.0;
    }

    private function isSpooned(float $grams, float $density): bool
    {
        return $grams / $density <= self::SPOON_LIMIT_TABLESPOONS * $this->tablespoon;
    }

    /**
     * The amounts just below and above in the finest spoon that is there: what is spooned is not weighed for that. Else on
     * the scale.
     *
     * @return array{float, float}
     */
    public function finely(float $grams, ?float $density): array
    {
        if ($density === null || !$this->isSpooned($grams, $density)) {
            return $grams < 1.0 ? $this->neighbours($grams, $density) : $this->onScale($grams);
        }
        $isSmall = $grams / $density < $this->tablespoon - 1e-6;

        return self::around($grams, $density * $this->teaspoon / ($isSmall ? 8.0 : 2.0));
    }

    /**
     * The amounts just below and above on the scale, for when spoons are too coarse.
     *
     * @return array{float, float}
     */
    public function onScale(float $grams): array
    {
        $below = floor($grams / $this->scaleGrams + 1e-9) * $this->scaleGrams;

        return [$below, $below + $this->scaleGrams];
    }

    /** The measurable amount nearest to what was asked, at least one notch, in grams. */
    public function nearest(float $grams, ?float $density, ?float $each = null): float
    {
        [$below, $above] = $this->neighbours($grams, $density, $each);

        return $below > 0.0 && $grams - $below < $above - $grams ? $below : $above;
    }

    /** Grams of one measurable notch around this amount. */
    public function notch(float $grams, ?float $density): float
    {
        if ($density === null || !$this->isSpooned($grams, $density)) {
            return $this->scaleGrams * ($grams >= 500.0 ? 10.0 : ($grams >= 100.0 ? 5.0 : 1.0));
        }
        $teaspoons = $grams / $density / $this->teaspoon;

        return $density * match (true) {
            $teaspoons < 1.0 - 1e-6 => $this->teaspoon / 8.0,
            $teaspoons < 3.0 - 1e-6 => $this->teaspoon / 4.0,
            default => $this->tablespoon / 2.0,
        };
    }

    /** How so much is measured out: 1½ tbsp, ¼ tsp, 120 g, 2½ of them. */
    public function measure(float $grams, ?float $density, ?float $each = null): Measure
    {
        // a count that nobody can cut is weighed
        if (self::isCounted($grams, $each) && $this->isHalves(2.0 * $grams / $each)) {
            return Measure::counted($grams / $each, $grams);
        }
        if ($density === null) {
            return Measure::weighed($grams);
        }
        $millilitres = $grams / $density;
        if ($millilitres > self::SPOON_LIMIT_TABLESPOONS * $this->tablespoon * 1.001) {
            return $this->large($grams, $millilitres);
        }
        $eighths = 8.0 * $millilitres / $this->teaspoon;
        if (abs($eighths - round($eighths)) > 0.02 && $grams >= $this->scaleGrams) {
            return $this->large($grams, $millilitres);
        }
        if (
            $millilitres < 0.99 * $this->tablespoon / 2.0
            || !$this->isHalves($millilitres / $this->tablespoon)
        ) {
            $isSeveral = $millilitres > 1.01 * $this->tablespoon;

            return Measure::spooned(
                $millilitres / $this->teaspoon,
                'tsp',
                $grams,
                $isSeveral ? $this->vessels->words($millilitres, 'tbsp')[0] : null,
            );
        }

        return Measure::spooned($millilitres / $this->tablespoon, 'tbsp', $grams);
    }

    /** What is too much, or too odd, for spoons: on the scale, and in cups where there is none. */
    private function large(float $grams, float $millilitres): Measure
    {
        return $this->hasScale
            ? Measure::weighed($grams)
            : Measure::spooned(
                $millilitres / $this->tablespoon,
                'tbsp',
                $grams,
                $this->vessels->roughly($millilitres),
            );
    }

    private function isHalves(float $count): bool
    {
        return abs(2.0 * $count - round(2.0 * $count)) < 0.01;
    }

    /**
     * Whether so much is counted rather than weighed: nobody counts out two hundred berries.
     *
     * @phpstan-assert-if-true !null $each
     */
    private static function isCounted(float $grams, ?float $each): bool
    {
        return $each !== null && $grams <= self::MOST_COUNTED * $each;
    }
}
