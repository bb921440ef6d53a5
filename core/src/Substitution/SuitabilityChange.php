<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

/** Whom the whole sauce suits after a swap that it did not suit before, and the other way round. */
final readonly class SuitabilityChange
{
    /**
     * @param list<string> $allergensAdded
     * @param list<string> $allergensRemoved
     * @param list<string> $dietsGained that it now fits
     * @param list<string> $dietsLost
     */
    private function __construct(
        public array $allergensAdded,
        public array $allergensRemoved,
        public array $dietsGained,
        public array $dietsLost,
    ) {}

    /**
     * @param list<string> $allergensBefore
     * @param list<string> $allergensAfter
     * @param list<string> $dietsBefore
     * @param list<string> $dietsAfter
     */
    public static function between(
        array $allergensBefore,
        array $allergensAfter,
        array $dietsBefore,
        array $dietsAfter,
    ): self {
        return new self(
            array_values(array_diff($allergensAfter, $allergensBefore)),
            array_values(array_diff($allergensBefore, $allergensAfter)),
            array_values(array_diff($dietsAfter, $dietsBefore)),
            array_values(array_diff($dietsBefore, $dietsAfter)),
        );
    }
}
