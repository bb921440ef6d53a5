<?php

declare(strict_types=1);

namespace Vinculum\Palate;

/** One tasting: where the sauce stood by the computation, and what the tongue said of it. */
final readonly class Tasting
{
    public const MOST = 2.0;

    /**
     * @param array<string, float> $steps where it stood, by axis
     * @param array<string, float> $scores −2 far too little, 0 just about right, 2 far too much, by axis; only what was
     *     judged
     *
     * @throws \InvalidArgumentException when a score is beyond the scale
     */
    public function __construct(public array $steps, public array $scores)
    {
        foreach ($scores as $score) {
            if (abs($score) > self::MOST) {
                throw new \InvalidArgumentException('The just-about-right scale runs from −2 to +2.');
            }
        }
    }
}
