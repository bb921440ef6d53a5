<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Chemistry\Component;
use Vinculum\Facts\Facts;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TasteLoad;

/** What the cook allows a correction to do. */
final readonly class CorrectionLimits
{
    /**
     * @param list<Candidate> $candidates
     * @param int $most how many additions a correction may combine
     * @param float|null $capacityMillilitres the finished volume that there is room for
     * @param bool $hasScale whether the cook can weigh
     */
    public function __construct(
        public array $candidates,
        public int $most = 3,
        public ?float $capacityMillilitres = null,
        public Measures $measures = Measures::Us,
        private bool $hasScale = true,
    ) {}

    public function spoons(): Spoons
    {
        return Spoons::of($this->measures, hasScale: $this->hasScale);
    }

    /** The same, where one thing alone is to be added. */
    public function ofOne(): self
    {
        return new self($this->candidates, 1, $this->capacityMillilitres, $this->measures, $this->hasScale);
    }

    /**
     * Without what would not help: of what there is too much of, a thing that holds half as much as the sauce is no
     * thinner, and one that holds more makes it worse; a strong thing goes in for what it is strong in. What the cook names is taken at the cook's word.
     */
    public function onlyWhatHelps(TasteLoad $batch, Target $target): self
    {
        $thins = Facts::of(KitchenBasics::class)->thins;
        $strong = Facts::of(StrongThings::class);
        $now = $batch->taste();
        $helping = array_filter(
            $this->candidates,
            static fn(Candidate $one): bool => is_infinite($one->most)
                || !$strong->have($one->ingredient) || $strong->seasons($one->ingredient, $one->perGram->taste(), $now),
        );
        foreach (Axis::cases() as $axis) {
            if (($target->window($axis)?->off($axis, $now->on($axis)) ?? 0.0) > 0.0) {
                // what is salted itself hardly thins salt
                $share = $axis === Axis::Salt ? $thins / 2.0 : $thins;
                $helping = array_filter(
                    $helping,
                    static fn(Candidate $one): bool => is_infinite($one->most)
                        || $one->perGram->taste()->on($axis) <= $share * $now->on($axis),
                );
            }
        }

        // milk of any kind is thinned with itself: water would make it weak
        $isMilky = array_filter(
            $helping,
            static fn(Candidate $one): bool => $one->strange === 0.0
                && in_array('milk-like', $one->ingredient->kinds, true),
        ) !== [];
        if ($isMilky) {
            $helping = array_filter(
                $helping,
                static fn(Candidate $one): bool => is_infinite($one->most)
                    || !in_array('water', $one->ingredient->roles, true),
            );
        }
        if (($target->window(Axis::Heat)?->off(Axis::Heat, $now->heat) ?? 0.0) < 0.0) {
            // heat is chilli's: nobody grinds a spoon of pepper into a sauce to make it hot
            $helping = array_filter(
                $helping,
                static fn(Candidate $one): bool => is_infinite($one->most)
                    || $one->ingredient->composition->mixture->get(Component::OtherHeat) <= 0.0,
            );
        }

        return new self(
            array_values($helping),
            $this->most,
            $this->capacityMillilitres,
            $this->measures,
            $this->hasScale,
        );
    }
}
