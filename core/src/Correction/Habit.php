<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Kitchen\AnsweredTaste;

/**
 * In which order this cook takes what is offered for a taste: a way stands before another once it was taken twice oftener
 * where both were offered. A small prior, and no more: what is offered stays what it was.
 */
final readonly class Habit
{
    /** So much oftener one way was taken than another before it goes first. */
    private const SURE = 2;
    /** Only what a cook sees changes places. */
    private const SEEN = 3;

    /** @param array<string, array<string, int>> $before how often a way was taken where another was offered too */
    private function __construct(private array $before) {}

    /**
     * @param list<AnsweredTaste> $answers of this family
     * @param list<string> $words what is said now
     */
    public static function of(array $answers, array $words): self
    {
        sort($words);
        $before = [];
        foreach ($answers as $answer) {
            if ($answer->words !== $words || $answer->taken === null) {
                continue;
            }
            $taken = $answer->offered[$answer->taken];
            foreach ($answer->offered as $other) {
                if ($other !== $taken) {
                    $before[$taken][$other] = ($before[$taken][$other] ?? 0) + 1;
                }
            }
        }

        return new self($before);
    }

    /** The same advice in the order of this cook, and what moved said. */
    public function ordering(Advice $advice): Advice
    {
        $ways = $advice->corrections;
        $was = $ways[0] ?? null;
        for ($at = 1; $at < min(self::SEEN, count($ways)); ++$at) {
            for ($place = $at; $place > 0 && $this->isRather($ways[$place], $ways[$place - 1]); --$place) {
                [$ways[$place - 1], $ways[$place]] = [$ways[$place], $ways[$place - 1]];
            }
        }
        if ($was === null || $ways[0] === $was) {
            return $advice->answering(...$ways);
        }

        return $advice->answering(...$ways)->noting(sprintf(
            '%s stands first because you took it %d times where %s was offered too; it can be switched off under Palate.',
            ucfirst(self::named($ways[0])),
            $this->times($ways[0], $was),
            self::named($was),
        ));
    }

    private function isRather(Correction $one, Correction $other): bool
    {
        return $this->times($one, $other) - $this->times($other, $one) >= self::SURE;
    }

    private function times(Correction $one, Correction $other): int
    {
        return $this->before[self::way($one)][self::way($other)] ?? 0;
    }

    /** What is done instead of adding is no way that was offered at the pan. */
    private static function way(Correction $correction): string
    {
        return AnsweredTaste::way(array_map(
            static fn(Addition $one): string => $one->ingredient->key,
            $correction->additions,
        ));
    }

    private static function named(Correction $correction): string
    {
        return implode(' with ', array_map(
            static fn(Addition $one): string => mb_strtolower($one->ingredient->name),
            $correction->additions,
        ));
    }
}
