<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

/**
 * A figure that comes with an event, and what it may be: nothing that happens at a stove lies outside, and what is
 * worked out with it stays finite. Lines and steps are counted from 0 here.
 */
enum EventFigure: string
{
    case Line = 'line';
    case Step = 'step';
    case Grams = 'grams';
    case Minutes = 'minutes';
    case Timer = 'timer';
    case Celsius = 'celsius';
    case Ph = 'ph';
    case Percent = 'percent';
    case Event = 'event';
    case Planned = 'planned';

    /** The finest kitchen scale reads a thousandth of a gram. Common practice. */
    public const LEAST_GRAMS = 0.001;
    public const MOST_GRAMS = 1_000_000.0;

    /** Whether it can be; a weight of nothing can. */
    public function isFit(float $value): bool
    {
        [$least, $most] = $this->range();

        return is_finite($value)
            && $value <= $most
            && ($value >= $least || $this === self::Grams && $value === 0.0);
    }

    /** What is said to a cook where it cannot be. */
    public function says(): string
    {
        return match ($this) {
            self::Line => 'Say which line it is, by its number.',
            self::Step => 'Say which step it is, by its number.',
            self::Grams => 'A weight is a number of grams: nothing, or 0.001 to 1,000,000. Where the scale reads below zero, set it to nothing first.',
            self::Minutes => 'A timer runs for some minutes, up to 30 days.',
            self::Timer => 'Say which timer it is.',
            self::Celsius => 'A sauce is between -30 and 200 °C: look at the probe, or type what you read.',
            self::Ph => 'No sauce has a pH below 1 or above 11: rinse the electrode, calibrate it, and measure again.',
            self::Percent => 'Dissolved solids are between 0 and 95 per cent.',
            self::Event => 'Say what is to be undone.',
            self::Planned => 'That it went in as planned is yes or no.',
        };
    }

    /** @return array{float, float} the least and the most */
    private function range(): array
    {
        return match ($this) {
            self::Line, self::Step => [0.0, 20_000.0],
            self::Grams => [self::LEAST_GRAMS, self::MOST_GRAMS],
            self::Minutes => [0.05, 30.0 * 1440.0],
            self::Timer, self::Event => [1.0, (float) PHP_INT_MAX],
            self::Celsius => [-30.0, 200.0],
            self::Ph => [1.0, 11.0],
            self::Percent => [0.0, 95.0],
            self::Planned => [0.0, 1.0],
        };
    }
}
