<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Taste\Axis;
use Vinculum\Taste\Target;
use Vinculum\Taste\Taste;
use Vinculum\Taste\Window;

/** A taster's word ("too salty"), and the target it makes of where the sauce stands. */
final readonly class Complaint
{
    /** How far the axes that nobody complained of may drift, in steps. */
    private const HELD_WITHIN = 1.0;

    /** @param array<string, array{float, float}> $moves least and most steps by axis */
    private function __construct(public string $key, private array $moves, public string $says) {}

    /** @return list<string> */
    public static function keys(): array
    {
        return array_keys(FactsFile::named('complaints'));
    }

    /** @throws FactsFault when nobody knows the word */
    public static function named(string $key): self
    {
        $row = FactsFile::named('complaints')[$key] ?? throw FactsFault::unknownKey('complaint', $key);
        $moves = [];
        foreach (Axis::cases() as $axis) {
            if ($row->has($axis->value)) {
                [$least, $most] = $row->numbers($axis->value);
                $moves[$axis->value] = [$least, $most];
            }
        }

        return new self($key, $moves, $row->text('says'));
    }

    /**
     * The target: the complained axes moved, the others held, or where a style is given, inside its windows.
     */
    public function target(Taste $now, ?Target $style = null): Target
    {
        $windows = [];
        foreach (Axis::cases() as $axis) {
            $steps = $now->stepsOn($axis);
            if (isset($this->moves[$axis->value])) {
                [$least, $most] = $this->moves[$axis->value];
                $windows[$axis->value] = self::window($axis, $steps + $least, $steps + $most);
            } elseif ($style?->window($axis) !== null) {
                $windows[$axis->value] = $style->window($axis);
            } else {
                $windows[$axis->value] = self::window($axis, $steps - self::HELD_WITHIN, $steps + self::HELD_WITHIN);
            }
        }

        return Target::of($windows);
    }

    private static function window(Axis $axis, float $low, float $high): Window
    {
        return Window::between($low <= 0.0 ? 0.0 : $axis->valueAt($low), $axis->valueAt(max(0.0, $high)));
    }
}
