<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\DoubtAdvice;
use Vinculum\Balance\Estimate;
use Vinculum\Balance\Formula;
use Vinculum\Balance\Shares;
use Vinculum\Kitchen\Sauce;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;

/** What a sauce is made of: its lines, which of them make it what it is, and which make it doubtful. */
final readonly class MakeupReport extends Report
{
    /**
     * @param list<LineReport> $lines
     * @param array<value-of<Axis>, list<array{id: int, share: float}>> $shares which line brings how much of each axis, the largest first
     * @param array<value-of<Axis>, string> $sharesSay the same as a sentence
     * @param array<value-of<Axis>, list<array{line: int, share: float}>> $doubt which line brings how much of the doubt of each axis
     * @param string|null $doubtAdvice what would make it surer
     */
    private function __construct(
        public array $lines,
        public array $shares,
        public array $sharesSay,
        public ?PartsReport $parts,
        public array $doubt,
        public ?string $doubtAdvice,
    ) {}

    public static function of(Sauce $sauce): self
    {
        [$balance, $formula] = [$sauce->balance(), $sauce->formula];
        $shares = Shares::of($formula);

        return new self(
            lines: array_map(
                static fn(ResolvedLine $line): LineReport => LineReport::of($line, $formula->catalogue),
                $formula->lines,
            ),
            shares: array_map(static fn(array $of): array => self::byId($of, $formula), $shares->byAxis),
            sharesSay: Axis::each(static fn(Axis $axis): string => $shares->says($axis, $formula)),
            parts: PartsReport::of($formula),
            doubt: array_map(
                static fn(Estimate $estimate): array => self::byLine($estimate->mainShares()),
                $balance->axes,
            ),
            doubtAdvice: DoubtAdvice::for($balance)?->words($formula),
        );
    }

    /**
     * @param array<int, float> $shares by line from 0
     *
     * @return list<array{id: int, share: float}> by line of the recipe, all that it names together
     */
    private static function byId(array $shares, Formula $formula): array
    {
        $sums = [];
        foreach ($shares as $line => $share) {
            $id = ($formula->lines[$line] ?? null)?->source?->id;
            if ($id !== null) {
                $sums[$id] = ($sums[$id] ?? 0.0) + $share;
            }
        }

        return array_map(
            static fn(int $id, float $share): array => ['id' => $id, 'share' => $share],
            array_keys($sums),
            $sums,
        );
    }

    /**
     * @param array<int, float> $shares by line from 0
     *
     * @return list<array{line: int, share: float}> by line from 1
     */
    private static function byLine(array $shares): array
    {
        return array_map(
            static fn(int $line, float $share): array => ['line' => $line + 1, 'share' => $share],
            array_keys($shares),
            $shares,
        );
    }
}
