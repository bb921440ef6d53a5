<?php

declare(strict_types=1);

namespace Vinculum\Balance;

/** A figure with its 90 % interval. */
final readonly class Estimate
{
    /** A share of the doubt from which a line is named. */
    private const WORTH_NAMING = 0.1;

    /**
     * @param array<int, float> $shares share of the doubt that each line brings, by line number from 0
     * @param array<int, float> $amountShares the part of it that weighing the line would take away
     */
    public function __construct(
        public float $value,
        public float $low,
        public float $high,
        public array $shares = [],
        public array $amountShares = [],
    ) {}

    /**
     * @return array<int, float> share of the doubt of the lines that bring at least a tenth of it, the largest first
     */
    public function mainShares(): array
    {
        $shares = array_filter(
            $this->shares,
            static fn(float $share, int $line): bool => $share >= self::WORTH_NAMING && $line >= 0,
            ARRAY_FILTER_USE_BOTH,
        );
        arsort($shares);

        return $shares;
    }
}
