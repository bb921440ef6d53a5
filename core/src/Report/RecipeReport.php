<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\MeasuredYield;
use Vinculum\Cooking\KeepingClaim;
use Vinculum\Cooking\YieldClaim;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;

/** What is written of a sauce, as it was understood. */
final readonly class RecipeReport extends Report
{
    public const INLINE = ['steps'];

    /**
     * @param array{text: string, millilitres: float|null, grams: float|null, jars: int|null}|null $yield as it is written; jars: how many
     *     it names, where it does not say how large they are
     * @param list<array{text: string, why: string, sure?: bool}> $setAside what else stood on the page
     * @param list<string> $letGo axes that do not count for it
     * @param string|null $keepingClaim what the recipe says of how long it keeps, in the cook's words
     */
    private function __construct(
        public ?string $title,
        public ?string $style,
        public Measures $measures,
        public ?array $yield,
        public ?int $servings,
        public MethodReport $steps,
        public array $setAside,
        public array $letGo,
        public ?string $keepingClaim,
    ) {}

    public static function of(Sauce $sauce): self
    {
        $recipe = $sauce->recipe;

        return new self(
            title: $sauce->title(),
            style: $sauce->family?->key,
            measures: $recipe->measures,
            yield: self::yield($recipe),
            servings: $recipe->servings,
            steps: MethodReport::of($sauce),
            setAside: array_map(self::aside(...), $recipe->setAside),
            letGo: $recipe->ignoredAxes,
            keepingClaim: KeepingClaim::in($recipe->told()),
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
