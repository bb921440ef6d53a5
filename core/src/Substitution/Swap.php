<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measure;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Writing\AmountWriter;
use Vinculum\Recipe\Writing\UnweighedAmount;

/** A substitute for a line: how much of it, what makes up for it, and what that does to the whole sauce. */
final readonly class Swap
{
    /** What is said of a line rather than of what stands in it. */
    private const TAGS_THAT_STAY = ['cold', 'steeped', 'optional'];
    /** Of a line that is taken back to fewer grams than this nothing is left. */
    private const NOT_WORTH_A_LINE = 0.5;

    /**
     * @param int $line from 0
     * @param list<SwapAddition> $compensations at most two
     * @param float $misfit of fat, body and bulk, in units that count as a step would
     * @param float $aromaSimilarity of aroma, 0 to 1
     * @param list<string> $notes what no number holds, and how body and fat change
     * @param int $class how near it is: one of those of StandIn
     */
    public function __construct(
        public int $line,
        public Ingredient $ingredient,
        public float $grams,
        public Measure $measure,
        public array $compensations,
        public TasteChange $taste,
        public SuitabilityChange $suitability,
        public float $misfit,
        public float $aromaSimilarity,
        public array $notes,
        public int $class,
    ) {}

    /**
     * The formula with the substitute in the line's place and its compensations made; lines that are put in come last.
     */
    public function applied(Formula $formula): Formula
    {
        return self::placed($formula, $this->line, $this->ingredient, $this->grams, $this->compensations);
    }

    /**
     * A formula with so much of an ingredient in a line's place.
     *
     * @param list<SwapAddition> $compensations
     */
    public static function placed(
        Formula $formula,
        int $line,
        Ingredient $ingredient,
        float $amount,
        array $compensations,
    ): Formula {
        $lines = $formula->lines;
        $lines[$line] = self::weighed($ingredient, $amount)->inPlaceOf($lines[$line]);
        foreach ($compensations as $compensation) {
            $stands = $compensation->line === null ? null : $lines[$compensation->line];
            $grams = $stands->grams->value ?? 0.0;
            if ($stands !== null && $grams > 0.0) {
                $lines[$compensation->line] = $stands->times(max(0.0, 1.0 + $compensation->grams / $grams));
            } elseif ($compensation->grams > 0.0) {
                $lines[] = self::weighed($compensation->ingredient, $compensation->grams);
            }
        }

        return $formula->withLines(...$lines);
    }

    /**
     * The swap as lines a person could have written.
     *
     * @param bool $hasScale whether the cook can weigh
     *
     * @return array{array<int, string>, list<string>} existing lines that change, from 0, empty where one goes; and new
     *     ones
     */
    public function written(Formula $formula, Measures $measures, bool $hasScale): array
    {
        $tags = array_map(
            static fn(string $tag): string => " [{$tag}]",
            array_intersect($formula->lines[$this->line]->written->tags, self::TAGS_THAT_STAY),
        );
        $edits = [$this->line => $this->measure->of($this->ingredient->name) . implode('', $tags)];
        $added = [];
        foreach ($this->compensations as $one) {
            $stands = $one->line === null ? null : $formula->lines[$one->line];
            $left = ($stands->grams->value ?? 0.0) + $one->grams;
            if ($stands === null || $one->line === null) {
                $added[] = $one->measure->of($one->ingredient->name);
            } elseif ($left <= self::NOT_WORTH_A_LINE) {
                $edits[$one->line] = '';
            } elseif ($stands->text() === '') {
                $edits[$one->line] = Measure::weighed($left)->of($one->ingredient->name);
            } else {
                $edits[$one->line] = $hasScale
                    ? AmountWriter::inGrams($stands, $left, $measures)
                    : UnweighedAmount::inGrams($stands, $left, $measures);
            }
        }

        return [$edits, $added];
    }

    private static function weighed(Ingredient $ingredient, float $grams): ResolvedLine
    {
        return ResolvedLine::ofGrams($ingredient, Amount::within($grams, $ingredient->portions->texture->deviation()));
    }
}
