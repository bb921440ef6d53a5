<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\Acidity;
use Vinculum\Chemistry\AcidityFacts;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;

/** How acid 100 g of an ingredient are by themselves, and how far that is known. */
final readonly class AcidState
{
    /** Below this much water a stated pH is that of a 10 % suspension. */
    private const DRY_BELOW_WATER_PERCENT = 30.0;

    /**
     * @param float|null $ph as stated; as follows from a stated strong ion difference; as assumed where neither is;
     *     null where nothing buffers
     * @param bool $isKnown whether it was stated, or nothing in it needs it
     * @param float $deviation of the pH, one standard deviation
     * @param array<string, float> $charges mEq that a unit of each acid and buffer carries at that pH
     * @param float $capacity mEq that move 100 g by one unit of pH
     */
    private function __construct(
        public Mixture $mixture,
        public ?float $ph,
        public bool $isKnown,
        public float $deviation,
        public array $charges,
        public float $capacity,
    ) {}

    /**
     * @param Mixture $hundredGrams without its strong ion difference where the pH is stated
     * @param float|null $ph as stated
     * @param bool $hasCharge the strong ion difference was stated instead
     */
    public static function of(Mixture $hundredGrams, ?float $ph, bool $hasCharge, Grade $grade): self
    {
        $facts = Facts::of(AcidityFacts::class);
        $mixture = Acidity::withBuffers($hundredGrams);
        $buffers = $mixture->get(Component::Protein) > 0.0;
        foreach (array_keys(Component::every('charge')) as $acid) {
            $buffers = $buffers || $mixture->get(Component::from($acid)) > 0.0;
        }
        if (!$buffers) {
            return new self($mixture, null, true, 0.0, [], 0.0);
        }
        $isKnown = $ph !== null || $hasCharge;
        $wet = self::wetted($mixture);
        if (!$hasCharge) {
            $ph ??= $facts->unknown->assumedPh;
            $mixture = $mixture->with(Component::StrongIonDifference, Acidity::strongIonDifferenceFor($wet, $ph));
            $wet = self::wetted($mixture);
        }
        $ph ??= Acidity::ph($wet);
        if ($ph === null) {
            return new self($mixture, null, $isKnown, 0.0, [], 0.0);
        }

        return new self(
            $mixture,
            $ph,
            $isKnown,
            $isKnown ? $facts->ph->deviation($grade->value) : $facts->unknown->deviation,
            Acidity::chargesAt($wet, $ph),
            Acidity::capacity($wet, $ph),
        );
    }

    /** A dry food as the 10 % suspension whose pH is stated. */
    public static function wetted(Mixture $mixture): Mixture
    {
        return $mixture->percent(Component::Water) < self::DRY_BELOW_WATER_PERCENT
            ? $mixture->plus(Mixture::of([Component::Water->value => 900.0]))
            : $mixture;
    }
}
