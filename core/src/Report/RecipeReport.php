<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\MeasuredYield;
use Vinculum\Cooking\KeepingClaim;
use Vinculum\Cooking\MethodLinks;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\ToldLinks;
use Vinculum\Cooking\YieldClaim;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** What is written of a sauce, as it was understood. */
final readonly class RecipeReport extends Report
{
    /**
     * @param array{text: string, millilitres: float|null, grams: float|null, jars: int|null}|null $yield as it is written; jars: how many
     *     it names, where it does not say how large they are
     * @param list<StepReport> $method step by step, as understood
     * @param list<array{text: string, why: string, sure?: bool}> $setAside what else stood on the page
     * @param list<string> $letGo axes that do not count for it
     * @param list<array{line: int, called: string, steps: list<int>, told: bool, elsewhere: int|null}> $links when each line goes in:
     *     its number, its name in a step's tag, steps from 1, whether by hand, and the step at which the words would put it
     * @param list<list<string>> $methodParted each line of the method in its sentences
     * @param string|null $keepingClaim what the recipe says of how long it keeps, in the cook's words
     */
    private function __construct(
        public ?string $title,
        public ?string $style,
        public Measures $measures,
        public ?array $yield,
        public ?int $servings,
        public array $method,
        public array $setAside,
        public array $letGo,
        public ?string $keepingClaim,
        public array $links,
        public array $methodParted,
    ) {}

    public static function of(Sauce $sauce): self
    {
        $recipe = $sauce->recipe;
        $steps = MethodReader::steps($recipe->method);
        $lines = array_filter(
            $sauce->formula->lines,
            static fn(ResolvedLine $line): bool => $line->status !== LineStatus::Heading,
        );
        $links = MethodLinks::of($steps, $lines);

        return new self(
            title: $sauce->title(),
            style: $sauce->family?->key,
            measures: $recipe->measures,
            yield: self::yield($recipe),
            servings: $recipe->servings,
            method: StepReport::all($steps, $links),
            setAside: array_map(self::aside(...), $recipe->setAside),
            letGo: $recipe->ignoredAxes,
            keepingClaim: KeepingClaim::in($recipe->told()),
            links: $steps === [] ? [] : self::links($links, ToldLinks::names($lines)),
            methodParted: MethodReader::parted($recipe->method),
        );
    }

    /**
     * @param array<int, string> $names by line
     *
     * @return list<array{line: int, called: string, steps: list<int>, told: bool, elsewhere: int|null}>
     */
    private static function links(MethodLinks $links, array $names): array
    {
        return array_map(
            static fn(int $line, string $name): array => [
                'line' => $line + 1,
                'called' => $name,
                'steps' => array_map(static fn(int $step): int => $step + 1, $links->stepsOf($line)),
                'told' => $links->told->stepsOf($line) !== [],
                'elsewhere' => isset($links->elsewhere[$line]) ? $links->elsewhere[$line] + 1 : null,
            ],
            array_keys($names),
            $names,
        );
    }

    /**
     * What was set aside, a note that says how long it keeps told as that.
     *
     * @param array{text: string, why: string, sure?: bool} $aside
     *
     * @return array{text: string, why: string, sure?: bool}
     */
    private static function aside(array $aside): array
    {
        $isClaim = $aside['why'] === 'note' && KeepingClaim::isIn($aside['text']);

        return $isClaim ? ['why' => 'keeping'] + $aside : $aside;
    }

    /** @return array{text: string, millilitres: float|null, grams: float|null, jars: int|null}|null */
    private static function yield(Recipe $recipe): ?array
    {
        $text = $recipe->yield ?? $recipe->saidYield() ?? YieldClaim::in($recipe->method);
        $measured = $text === null ? null : MeasuredYield::parse($text, $recipe->measures);

        return $text === null ? null : [
            'text' => $text,
            'millilitres' => $measured?->millilitres?->value,
            'grams' => $measured?->grams?->value,
            'jars' => MeasuredYield::jarsOfUnknownSize($text, $recipe->measures),
        ];
    }
}
