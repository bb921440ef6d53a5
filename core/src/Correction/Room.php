<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;

/**
 * How much may be added: of each candidate to its dose, and of all together to what the vessel holds, or to a usual
 * share of the batch. Volumes of what is mixed add up, so that the room is a sum.
 */
final readonly class Room
{
    /** Without a capacity, at most this share of the batch may be added. */
    public const USUAL_SHARE = 0.4;

    /**
     * @param float $most millilitres where there is a capacity, else grams
     * @param list<float> $takes of a gram of each candidate, in the same
     * @param list<float> $doses grams of each candidate at most
     */
    private function __construct(public float $most, private array $takes, private array $doses) {}

    /** @param list<Candidate> $candidates */
    public static function in(Mixture $batch, array $candidates, ?float $capacityMillilitres): self
    {
        $doses = array_map(static fn(Candidate $one): float => $one->most, $candidates);
        if ($capacityMillilitres === null) {
            $takes = array_fill(0, count($candidates), 1.0);

            return new self(self::USUAL_SHARE * $batch->grams(), $takes, $doses);
        }

        return new self(
            $capacityMillilitres - Volume::millilitres($batch),
            array_map(
                static fn(Candidate $one): float => Volume::millilitres($one->ingredient->grams(1.0)),
                $candidates,
            ),
            $doses,
        );
    }

    /**
     * So many grams in all, and of each as much as a cook would.
     *
     * @param list<Candidate> $candidates
     */
    public static function within(float $grams, array $candidates): self
    {
        return new self(
            $grams,
            array_fill(0, count($candidates), 1.0),
            array_map(static fn(Candidate $one): float => $one->most, $candidates),
        );
    }

    /**
     * @param list<int> $which
     *
     * @return list<float> grams that may be added of each
     */
    public function greatest(array $which): array
    {
        return array_map(fn(int $index): float => $this->doses[$index], $which);
    }

    /**
     * @param list<int> $which
     *
     * @return list<float> room that a gram of each takes
     */
    public function each(array $which): array
    {
        return array_map(fn(int $index): float => $this->takes[$index], $which);
    }

    /** Grams of one candidate that fit, with nothing else. */
    public function alone(int $index): float
    {
        return min($this->doses[$index], $this->takes[$index] > 0.0 ? $this->most / $this->takes[$index] : INF);
    }

    /**
     * Whether these amounts fit.
     *
     * @param list<int> $which
     * @param list<float> $grams
     */
    public function holds(array $which, array $grams): bool
    {
        $filled = 0.0;
        foreach ($which as $position => $index) {
            $filled += $grams[$position] * $this->takes[$index];
        }

        return $filled <= $this->most * (1.0 + 1e-9);
    }
}
