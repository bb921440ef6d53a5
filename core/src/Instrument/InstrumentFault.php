<?php

declare(strict_types=1);

namespace Vinculum\Instrument;

/** An instrument gave no reading that can be used; the message says what is the matter and how to go on. */
final class InstrumentFault extends \RuntimeException
{
    public static function silent(string $instrument): self
    {
        return new self(
            "The {$instrument} does not answer. Go on by hand: type what you read, and it is taken up again when it is back.",
        );
    }

    public static function notANumber(string $instrument): self
    {
        return new self("The {$instrument} sends no number. Switch it off and on, or type what you read.");
    }

    public static function overloaded(): self
    {
        return new self('There is more on the scale than it can weigh. Take something off, or weigh in two goes.');
    }

    public static function outOfRange(string $instrument, string $read): self
    {
        return new self(
            "The {$instrument} reads {$read}, which nothing in a kitchen is. Look at how it is connected, or type what you read.",
        );
    }

    public static function notCalibrated(): self
    {
        return new self(
            'The pH meter is not calibrated. Dip it in the two buffers first: a reading before that may be a whole unit off.',
        );
    }

    public static function badCalibration(string $why): self
    {
        return new self(
            "The calibration cannot be used: {$why} Rinse the electrode, use fresh buffers, and try again; if it stays so, replace it.",
        );
    }
}
