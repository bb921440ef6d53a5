<?php

declare(strict_types=1);

namespace Vinculum\Sensory;

use Vinculum\Chemistry\Acidity;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;

/**
 * The part of a mixture that the five axes depend on, as six sums that add up when mixtures are mixed.
 * It is what a search over thousands of trial mixtures carries about instead of the whole vector.
 */
final readonly class TasteLoad
{
    /**
     * @param float $sweet g sucrose equivalent
     * @param float $sour titratable acidity, g acetic acid equivalent, negative where base is left over
     * @param float $salt g NaCl
     * @param float $aminoAcids Σ aᵢ·mᵢ of Yamaguchi's first sum, g
     * @param float $nucleotides the second sum, g
     * @param float $heat SHU·g
     * @param float $grams total mass
     */
    private function __construct(
        public float $sweet,
        public float $sour,
        public float $salt,
        public float $aminoAcids,
        public float $nucleotides,
        public float $heat,
        public float $grams,
    ) {}

    public static function of(Mixture $mixture): self
    {
        $umami = Facts::of(UmamiFacts::class);

        return new self(
            $mixture->weighted(self::sweetness()),
            Acidity::titratableMilliequivalents($mixture) * Acidity::ACETIC_GRAMS_PER_MILLIEQUIVALENT,
            $mixture->get(Component::Salt),
            $mixture->weighted($umami->aminoAcids->weights),
            $mixture->weighted($umami->nucleotides->weights),
            $mixture->get(Component::CapsaicinoidHeat) + $mixture->get(Component::OtherHeat),
            $mixture->grams(),
        );
    }

    public static function ofNothing(): self
    {
        return new self(0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0);
    }

    /** From the sums themselves; the units stand at the constructor. */
    public static function ofSums(
        float $sweet,
        float $sour,
        float $salt,
        float $aminoAcids,
        float $nucleotides,
        float $heat,
        float $grams,
    ): self {
        return new self($sweet, $sour, $salt, $aminoAcids, $nucleotides, $heat, $grams);
    }

    public function plus(self $other, float $times): self
    {
        return new self(
            $this->sweet + $times * $other->sweet,
            $this->sour + $times * $other->sour,
            $this->salt + $times * $other->salt,
            $this->aminoAcids + $times * $other->aminoAcids,
            $this->nucleotides + $times * $other->nucleotides,
            $this->heat + $times * $other->heat,
            $this->grams + $times * $other->grams,
        );
    }

    public function taste(): Taste
    {
        if ($this->grams <= 0.0) {
            return Taste::ofNothing();
        }
        $per = 100.0 / $this->grams;
        $amino = max(0.0, $this->aminoAcids * $per);

        return Taste::of(
            max(0.0, $this->sweet * $per),
            max(0.0, $this->sour * $per),
            max(0.0, $this->salt * $per),
            $amino + self::synergy() * $amino * max(0.0, $this->nucleotides * $per),
            max(0.0, $this->heat / $this->grams),
        );
    }

    /** What it brings to one axis, as a sum in the unit of that: of umami without what the two kinds do together. */
    public function on(Axis $axis): float
    {
        return match ($axis) {
            Axis::Sweet => $this->sweet,
            Axis::Sour => $this->sour,
            Axis::Salt => $this->salt,
            Axis::Umami => $this->aminoAcids + $this->nucleotides,
            Axis::Heat => $this->heat,
        };
    }

    public static function synergy(): float
    {
        // kept at hand, for a search asks tens of thousands of times
        /** @var float|null $factor */
        static $factor = null;

        return $factor ??= Facts::of(UmamiFacts::class)->synergy->factor;
    }

    /** @return array<string, float> */
    private static function sweetness(): array
    {
        /** @var array<string, float>|null $weights */
        static $weights = null;

        return $weights ??= [...Component::every('sweetness'), Component::SweetenerSweetness->value => 1.0];
    }
}
