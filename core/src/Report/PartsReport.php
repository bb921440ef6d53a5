<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Formula;
use Vinculum\Balance\Parts;

/** A formula as parts by volume: "3 : 1 : 1". */
final readonly class PartsReport extends Report
{
    /**
     * @param float $partMl one part as the formula stands
     * @param list<array{line: int, parts: float}> $lines from 1
     */
    private function __construct(public string $words, public bool $whole, public float $partMl, public array $lines) {}

    /** Null where fewer than two lines have a volume. */
    public static function of(Formula $formula): ?self
    {
        $parts = Parts::of($formula);

        return $parts === null ? null : new self(
            $parts->words(),
            $parts->areWhole,
            $parts->onePart,
            array_map(
                static fn(int $line, float $count): array => ['line' => $line + 1, 'parts' => $count],
                array_keys($parts->parts),
                $parts->parts,
            ),
        );
    }
}
