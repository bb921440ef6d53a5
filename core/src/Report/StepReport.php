<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Cooking\MethodLinks;
use Vinculum\Cooking\MethodStep;

/** A step of the method as it was understood: minutes, °C. */
final readonly class StepReport extends Report
{
    public const INLINE = ['heat'];

    /**
     * @param 'do'|'heat'|'reduce'|'rest'|'cool'|'strain'|'blend' $kind
     * @param list<int>|null $uses lines that it puts in or works on, from 1; null where its formula is not at hand
     * @param list<string> $unknown names in its tag that no line has
     */
    private function __construct(
        public string $text,
        public int $line,
        public string $kind,
        public StepHeatReport $heat,
        public ?float $celsius,
        public ?string $until,
        public bool $sieved,
        public ?array $uses,
        public array $unknown,
    ) {}

    /**
     * @param list<MethodStep> $steps
     *
     * @return list<self>
     */
    public static function all(array $steps, MethodLinks $links): array
    {
        return array_map(
            static fn(MethodStep $step, int $number): self => self::of($step, [
                ...array_keys($links->puts[$number] ?? []),
                ...($links->works[$number] ?? []),
            ], $links->told->unknown[$number] ?? []),
            $steps,
            array_keys($steps),
        );
    }

    /**
     * @param list<int>|null $uses lines, from 0
     * @param list<string> $unknown
     */
    public static function of(MethodStep $step, ?array $uses = null, array $unknown = []): self
    {
        return new self(
            text: $step->text,
            line: $step->line,
            kind: $step->kind,
            heat: StepHeatReport::of($step),
            celsius: $step->celsius,
            until: $step->until,
            sieved: $step->isSieved,
            uses: $uses === null ? null : array_map(static fn(int $line): int => $line + 1, $uses),
            unknown: $unknown,
        );
    }
}
