<?php

declare(strict_types=1);

namespace Vinculum\Palate;

use Vinculum\Facts\Facts;

/**
 * How fine a cook's tongue is on one axis: two cups, one of them stronger, the difference made smaller after two
 * right answers and larger after a wrong one, which settles where 71 % are right (Levitt 1971, J. Acoust. Soc. Am.
 * 49, 467, from memory). The cook's own step is that difference, in steps of the table.
 */
final readonly class Staircase
{
    /** Differences in steps, that a series is mixed for. */
    public const LEVELS = [4.0, 2.0, 1.0, 0.5];
    private const RIGHT_TO_GO_DOWN = 2;
    private const LEAST_REVERSALS = 3;
    private const MOST_COUNTED = 6;

    /** @param list<float> $reversals levels at which it turned */
    private function __construct(public float $next, public array $reversals, public int $trials) {}

    /** @param list<array{float, bool}> $answers level in steps, and whether it was right, in order */
    public static function after(array $answers): self
    {
        [$at, $right, $direction, $reversals] = [0, 0, 0, []];
        foreach ($answers as [$level, $isRight]) {
            $found = array_search($level, self::LEVELS, true);
            $at = $found === false ? $at : $found;
            $right = $isRight ? $right + 1 : 0;
            $move = match (true) {
                !$isRight => -1,
                $right >= self::RIGHT_TO_GO_DOWN => 1,
                default => 0,
            };
            if ($move === 0) {
                continue;
            }
            $right = 0;
            if ($direction !== 0 && $move !== $direction) {
                $reversals[] = self::LEVELS[$at];
            }
            $direction = $move;
            $at = max(0, min(count(self::LEVELS) - 1, $at + $move));
        }

        return new self(self::LEVELS[$at], $reversals, count($answers));
    }

    /** What the own step says of the tongue; null while it is too early. */
    public function verdict(): ?string
    {
        [$own, $facts] = [$this->ownStep(), Facts::of(TrainerFacts::class)];

        return match (true) {
            $own === null => null,
            $own < $facts->fine => 'a fine tongue',
            $own > $facts->coarse => 'less than most, and training helps',
            default => 'about what most can',
        };
    }

    /**
     * The cook's own step in steps of the table, the geometric mean of the last reversals; null while it is too early.
     */
    public function ownStep(): ?float
    {
        if (count($this->reversals) < self::LEAST_REVERSALS) {
            return null;
        }
        $counted = array_slice($this->reversals, -self::MOST_COUNTED);

        return exp(array_sum(array_map(log(...), $counted)) / count($counted));
    }
}
