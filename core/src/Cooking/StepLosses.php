<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Balance\CookingLosses;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;
use Vinculum\Facts\Facts;
use Vinculum\Quantity\Amount;

/** What one step takes out of a pot (handbook, "Cooking"; the figures and their sources stand in cooking.ini). */
final readonly class StepLosses
{
    private const FRACTION_DOUBT = 0.1;
    /** A cook stops at the end that is told, whatever the minutes were. */
    private const END_WEIGHS = 0.65;

    /**
     * @param float $water grams that leave, its band beside it
     * @param array{float, float} $alcohol shares of the alcohol that stay: by Rayleigh's law, by the retention table
     * @param float $acetic share of the acetic acid that stays
     * @param float $nose share of the nose heat that stays
     * @param array{low: float, high: float} $band of the water
     * @param bool $isCutShort its time would have taken more water than a sauce can give
     */
    private function __construct(
        private Mixture $pot,
        public float $water,
        public array $band,
        public array $alcohol,
        public float $acetic,
        public float $nose,
        private Mixture $sieved,
        public bool $isCutShort,
    ) {}

    /** @param float $simmered minutes that the alcohol in the pot has simmered already */
    public static function of(MethodStep $step, Mixture $pot, ?Pan $pan, Hob $hob, float $simmered): self
    {
        $facts = Facts::of(CookingFacts::class);
        $pan = $step->pan ?? $pan;
        [$water, $band, $isCutShort] = self::water($step, $pot, $pan, $hob, $facts->evaporation->mostOfTheWater);
        $there = $pot->get(Component::Water);
        $ratio = $there > 0.0 ? ($there - $water) / $there : 1.0;
        $minutes = $step->isAtTheHob() ? self::minutesOf($step, $water, $pan, $hob) : 0.0;

        return new self(
            $pot,
            $water,
            $band,
            [$ratio ** $facts->ethanol->volatility, self::retained($simmered + $minutes) / self::retained($simmered)],
            $ratio ** $facts->acetic->volatility,
            0.5 ** ($minutes / $facts->pungency->halfLife),
            $step->isSieved ? self::keptBack($pot) : Mixture::nothing(),
            $isCutShort,
        );
    }

    /**
     * The share of alcohol left after so many minutes of simmering, between the figures of the table.
     * Source: USDA Table of Nutrient Retention Factors.
     */
    public static function retained(float $minutes): float
    {
        $table = Facts::of(CookingFacts::class)->ethanol;
        [$at, $left] = [$table->minutes, $table->left];
        for ($index = 1; $index < count($at); ++$index) {
            if ($minutes <= $at[$index]) {
                $part = ($minutes - $at[$index - 1]) / ($at[$index] - $at[$index - 1]);

                return $left[$index - 1] + $part * ($left[$index] - $left[$index - 1]);
            }
        }

        return $left[count($left) - 1];
    }

    /** Minutes at the hob: as named, by the water that leaves, or a usual while where neither is known. */
    public static function minutesOf(MethodStep $step, float $water, ?Pan $pan, Hob $hob): float
    {
        if ($step->minutes !== null) {
            return array_sum($step->minutes) / 2.0;
        }
        $surface = $pan?->squareMetres;
        if ($step->heat !== null && $surface !== null && $water > 0.0) {
            return $hob->heat($step->heat, $pan)->minutes($water, $surface)['value'];
        }

        return Facts::of(CookingFacts::class)->pungency->usualMinutes;
    }

    /** Whether so much of something was in the pot that its going is worth a word. */
    public function had(Component $component): bool
    {
        return $this->pot->get($component) > 1e-3 * $this->pot->grams();
    }

    /** What leaves in all, with a direction of doubt for each part of it. */
    public function losses(): CookingLosses
    {
        $facts = Facts::of(CookingFacts::class);
        // the two models of alcohol disagree on a short hard boil: the figure stands half-way between them, the doubt
        // reaches both
        [$alcohol, $doubt] = [
            array_sum($this->alcohol) / 2.0,
            abs($this->alcohol[0] - $this->alcohol[1]) / 2.0 / Amount::NINETY_PERCENT,
        ];
        $gone = [
            Component::Water->value => [
                $this->water,
                ($this->band['high'] - $this->band['low']) / 2.0 / Amount::NINETY_PERCENT,
            ],
            Component::Ethanol->value => [
                $this->pot->get(Component::Ethanol) * (1.0 - $alcohol),
                $this->pot->get(Component::Ethanol) * $doubt,
            ],
            Component::Acetic->value => [
                $this->pot->get(Component::Acetic) * (1.0 - $this->acetic),
                $this->pot->get(Component::Acetic) * (1.0 - $this->acetic) * $facts->acetic->doubt,
            ],
            Component::Pungency->value => [
                $this->pot->get(Component::Pungency) * (1.0 - $this->nose),
                $this->pot->get(Component::Pungency) * (1.0 - $this->nose) * $facts->pungency->doubt,
            ],
        ];
        $gone = array_filter($gone, static fn(array $one): bool => $one[0] > 0.0);
        $left = Mixture::of(array_map(static fn(array $one): float => $one[0], $gone))->plus($this->sieved);
        $doubts = array_map(
            static fn(string $component, array $one): Mixture => Mixture::of([$component => $one[1]]),
            array_keys($gone),
            array_values($gone),
        );
        if ($this->sieved->grams() > 0.0) {
            $doubts[] = $this->sieved->times($facts->sieve->doubt);
        }

        return CookingLosses::of($left, ...$doubts);
    }

    /** @return array{float, array{low: float, high: float}, bool} */
    private static function water(MethodStep $step, Mixture $pot, ?Pan $pan, Hob $hob, float $mostShare): array
    {
        $there = $pot->get(Component::Water);
        $most = $mostShare * max(0.0, $there);
        $left = $step->downTo ?? ($step->left === null ? null : $step->left * Volume::millilitres($pot));
        if ($step->kind === 'reduce' && $left !== null) {
            // "by a quarter" is of the volume in the pan at that time
            $lost = min($most, max(0.0, Volume::waterToLose($pot, $left)));

            return [
                $lost,
                [
                    'low' => (1.0 - Amount::NINETY_PERCENT * self::FRACTION_DOUBT) * $lost,
                    'high' => (1.0 + Amount::NINETY_PERCENT * self::FRACTION_DOUBT) * $lost,
                ],
                false,
            ];
        }
        $surface = $pan?->squareMetres;
        $found = $surface === null || $step->heat === null
            ? null
            : $step->evaporates($surface, $hob->heat($step->heat, $pan));
        $thick = $step->isAtTheHob() && $step->openShare() > 0.5 ? $step->end?->waterLost($pot) : null;
        if ($thick !== null) {
            // no pan gives off more in the time that is told, however sticky it is to be
            $boiling = $surface === null ? null : $step->evaporates($surface, Heat::strongest());
            $found = self::drawnTo($found, min($thick, $boiling['high'] ?? $thick), $step->end->doubt);
        }
        if ($found === null) {
            return [0.0, ['low' => 0.0, 'high' => 0.0], false];
        }

        return [
            min($most, $found['value']),
            ['low' => min($most, $found['low']), 'high' => min($most, $found['high'])],
            $found['value'] > $most + 1e-9,
        ];
    }

    /**
     * What the minutes say, drawn to what the end of thickness asks for: each as sure as it is.
     *
     * @param array{value: float, low: float, high: float}|null $byTime
     *
     * @return array{value: float, low: float, high: float}
     */
    private static function drawnTo(?array $byTime, float $thick, float $doubt): array
    {
        $ofThick = max(1.0, $doubt * $thick);
        $ofTime = $byTime === null ? INF : max(1.0, ($byTime['high'] - $byTime['low']) / 2.0 / Amount::NINETY_PERCENT);
        $weight = $ofTime === INF ? 1.0 : max(self::END_WEIGHS, $ofTime ** 2 / ($ofTime ** 2 + $ofThick ** 2));
        $value = $weight * $thick + (1.0 - $weight) * ($byTime['value'] ?? 0.0);
        $half = Amount::NINETY_PERCENT * hypot($weight * $ofThick, $ofTime === INF ? 0.0 : (1.0 - $weight) * $ofTime);

        return ['value' => $value, 'low' => max(0.0, $value - $half), 'high' => $value + $half];
    }

    /** What stays in a sieve: a share of the fibre, and the rest of the sauce that clings to it. */
    private static function keptBack(Mixture $pot): Mixture
    {
        $facts = Facts::of(CookingFacts::class)->sieve;
        $fibre = $facts->keeps * $pot->get(Component::Fibre);
        $rest = $pot->with(Component::Fibre, 0.0);
        if ($fibre <= 0.0 || $rest->grams() <= 0.0) {
            return Mixture::nothing();
        }

        return $rest->times(min(0.5, $facts->clings * $fibre / $rest->grams()))->with(Component::Fibre, $fibre);
    }
}
