<?php

declare(strict_types=1);

namespace Vinculum\Instrument;

use Vinculum\Facts\Facts;
use Vinculum\Facts\InstrumentFacts;

/** What a scale shows: grams, and whether it has come to rest. */
final readonly class Weight
{
    /** @param string|null $says what is odd about it; null where nothing is */
    private function __construct(
        public float $grams,
        public bool $isSettled,
        public float $resolution,
        public ?string $says,
    ) {}

    /**
     * A reading as a scale sends it.
     *
     * @throws InstrumentFault when it is no weight
     */
    public static function read(mixed $grams, bool $isSettled, bool $isOverloaded, float $resolution = 1.0): self
    {
        if ($isOverloaded) {
            throw InstrumentFault::overloaded();
        }
        if (!is_int($grams) && !is_float($grams) || !is_finite((float) $grams)) {
            throw InstrumentFault::notANumber('scale');
        }
        $isBelow = $grams < -max($resolution, Facts::of(InstrumentFacts::class)->scale->belowZero);

        return new self(
            (float) $grams,
            $isSettled,
            $resolution,
            $isBelow
                ? 'The scale reads below zero: something was taken off since it was set to nothing. Put it back, or set it to nothing again.'
                : null,
        );
    }
}
