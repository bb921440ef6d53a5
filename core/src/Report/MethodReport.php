<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Cooking\MethodLinks;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\ToldLinks;
use Vinculum\Kitchen\Sauce;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** A method as it was understood, and which lines go in at which step. */
final readonly class MethodReport extends Report
{
    /**
     * @param list<StepReport> $method step by step, as understood
     * @param list<array{line: int, id: int|null, called: string, steps: list<int>, told: bool, elsewhere: int|null}> $links when each line
     *     goes in: its number, that of the recipe's line, its name in a step's tag, steps from 1, whether by hand, and the step at which the words would put it
     * @param list<list<string>> $methodParted each line of the method in its sentences
     */
    private function __construct(
        public array $method,
        public array $links,
        public array $methodParted,
    ) {}

    public static function of(Sauce $sauce): self
    {
        $steps = MethodReader::steps($sauce->recipe->method);
        $lines = array_filter(
            $sauce->formula->lines,
            static fn(ResolvedLine $line): bool => $line->status !== LineStatus::Heading,
        );
        $links = MethodLinks::of($steps, $lines);

        return new self(
            method: StepReport::all($steps, $links),
            links: $steps === [] ? [] : self::links($links, ToldLinks::names($lines), $lines),
            methodParted: MethodReader::parted($sauce->recipe->method),
        );
    }

    /**
     * @param array<int, string> $names by line
     * @param array<int, ResolvedLine> $lines
     *
     * @return list<array{line: int, id: int|null, called: string, steps: list<int>, told: bool, elsewhere: int|null}>
     */
    private static function links(MethodLinks $links, array $names, array $lines): array
    {
        return array_map(
            static fn(int $line, string $name): array => [
                'line' => $line + 1,
                'id' => $lines[$line]->source?->id,
                'called' => $name,
                'steps' => array_map(static fn(int $step): int => $step + 1, $links->stepsOf($line)),
                'told' => $links->told->stepsOf($line) !== [],
                'elsewhere' => isset($links->elsewhere[$line]) ? $links->elsewhere[$line] + 1 : null,
            ],
            array_keys($names),
            $names,
        );
    }
}
