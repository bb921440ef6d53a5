<?php

declare(strict_types=1);

namespace Vinculum\Comparison;

use Vinculum\Quantity\Amount;

/**
 * What measurements teach of an ingredient when the same gap comes back: measured less estimated, over batches of which
 * the same line makes most of the doubt.
 */
final readonly class BatchLesson
{
    private const LEAST_BATCHES = 3;

    private function __construct(
        public string $ingredient,
        public string $figure,
        public float $gap,
        public float $deviation,
        public int $batches,
    ) {}

    /**
     * @param list<MeasuredGap> $gaps one for each measurement
     *
     * @return list<self> those that repeat: the mean is farther from nothing than 90 % of chance would bring it
     */
    public static function from(array $gaps): array
    {
        $grouped = [];
        foreach ($gaps as $gap) {
            $grouped[$gap->figure][$gap->ingredient][] = $gap->gap;
        }
        $learned = [];
        foreach ($grouped as $figure => $byIngredient) {
            foreach ($byIngredient as $ingredient => $found) {
                $count = count($found);
                if ($count < self::LEAST_BATCHES) {
                    continue;
                }
                $mean = array_sum($found) / $count;
                $deviation = sqrt(
                    array_sum(array_map(static fn(float $one): float => ($one - $mean) ** 2, $found)) / ($count - 1),
                );
                if (abs($mean) > Amount::NINETY_PERCENT * max($deviation, 1e-9) / sqrt($count)) {
                    $learned[] = new self((string) $ingredient, (string) $figure, $mean, $deviation, $count);
                }
            }
        }

        return $learned;
    }
}
