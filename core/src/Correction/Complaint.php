<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Palate\Tasting;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetRange;
use Vinculum\Sensory\Taste;

/** A taster's word ("too salty"), and the target it makes of where the sauce stands. */
final readonly class Complaint
{
    /** How far the axes that nobody complained of may drift, in steps. */
    private const HELD_WITHIN = 1.0;
    /** A word without strength moves its axis 2 steps, and is one point on the just-about-right scale. */
    private const STEPS_A_POINT = 2.0;

    /** @param array<value-of<Axis>, array{float, float}> $moves least and most steps by axis */
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

    /** @return list<Axis> what it is about */
    public function axes(): array
    {
        return array_map(Axis::from(...), array_keys($this->moves));
    }

    /** The target: the axes that are complained of moved, the others held where they are, whatever a style would want. */
    public function target(Taste $now): Target
    {
        return self::together([[$this, 1.0]], $now);
    }

    /**
     * The target that several words make at once, each with its strength: 1 as it is said, ½ for a little, 1½ for far.
     *
     * @param list<array{self, float}> $said
     */
    public static function together(array $said, Taste $now): Target
    {
        $windows = [];
        foreach (Axis::cases() as $axis) {
            $steps = $now->stepsOn($axis);
            $moves = self::movesOn($axis, $said);
            if ($moves !== null) {
                $windows[$axis->value] = TargetRange::ofSteps($axis, $steps + $moves[0], $steps + $moves[1]);
            } else {
                $windows[$axis->value] = TargetRange::around($axis, $steps, self::HELD_WITHIN);
            }
        }

        return Target::of($windows);
    }

    /**
     * What the words say on the just-about-right scale: −2 far too little to 2 far too much.
     *
     * @param list<array{self, float}> $said
     *
     * @return array<string, float> by axis, for those complained of
     */
    public static function scores(array $said): array
    {
        $scores = [];
        foreach (Axis::cases() as $axis) {
            $moves = self::movesOn($axis, $said);
            if ($moves !== null) {
                $scores[$axis->value] = max(
                    -Tasting::MOST,
                    min(Tasting::MOST, -($moves[0] + $moves[1]) / 2.0 / self::STEPS_A_POINT),
                );
            }
        }

        return $scores;
    }

    /**
     * @param list<array{self, float}> $said
     *
     * @return array{float, float}|null least and most steps to move an axis by, the words added up; null where none is
     *     about it
     */
    private static function movesOn(Axis $axis, array $said): ?array
    {
        $sum = null;
        foreach ($said as [$complaint, $strength]) {
            if (isset($complaint->moves[$axis->value])) {
                [$least, $most] = $complaint->moves[$axis->value];
                $sum = [($sum[0] ?? 0.0) + $strength * $least, ($sum[1] ?? 0.0) + $strength * $most];
            }
        }

        return $sum;
    }
}
