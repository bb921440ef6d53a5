<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Quantity\KitchenNumber;

/** A formula as parts by volume: 3 : 1 : 1, whatever the vessel. */
final readonly class Parts
{
    /** A line of less than this share of the largest is a seasoning beside the parts. */
    private const SEASONING = 0.1;
    /** Parts are whole when every one is this near to a whole number. */
    private const NEAR = 0.03;
    private const MOST_PARTS = 12;
    private const SMALLEST_FRACTION = 4;

    /**
     * @param array<int, float> $parts by line number from 0, the lines that carry the sauce
     * @param float $onePart millilitres of one part as the formula stands
     * @param bool $areWhole whether all are whole numbers to within what a spoon can tell
     */
    private function __construct(public array $parts, public float $onePart, public bool $areWhole) {}

    /** Null where fewer than two lines have a volume. */
    public static function of(Formula $formula): ?self
    {
        $volumes = [];
        foreach ($formula->lines as $number => $line) {
            $density = $line->ingredient?->portions->density;
            if ($line->countsInTheMixture() && ($line->millilitres !== null || $density !== null)) {
                $volumes[$number] = $line->millilitres ?? ($line->grams->value ?? 0.0) / (float) $density;
            }
        }
        $largest = $volumes === [] ? 0.0 : max($volumes);
        $volumes = array_filter($volumes, static fn(float $volume): bool => $volume > $largest * self::SEASONING);
        if (count($volumes) < 2) {
            return null;
        }
        $smallest = min($volumes);
        for ($divisor = 1; $divisor <= self::SMALLEST_FRACTION; ++$divisor) {
            $parts = array_map(static fn(float $volume): float => $volume * $divisor / $smallest, $volumes);
            if (
                array_filter(
                    $parts,
                    static fn(float $part): bool => abs($part / max(1.0, round($part)) - 1.0) > self::NEAR,
                ) === []
                && max($parts) <= self::MOST_PARTS
            ) {
                return new self(
                    array_map(static fn(float $part): float => round($part), $parts),
                    $smallest / $divisor,
                    true,
                );
            }
        }

        return new self(array_map(static fn(float $volume): float => $volume / $smallest, $volumes), $smallest, false);
    }

    /** "3 : 1 : 1", in the order of the lines. */
    public function words(): string
    {
        return implode(
            ' : ',
            array_map(
                fn(float $part): string => $this->areWhole ? (string) (int) $part : KitchenNumber::plain($part, 1),
                $this->parts,
            ),
        );
    }
}
