<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Balance\DoubtAdvice;
use Vinculum\Balance\Estimate;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Balance\Shares;
use Vinculum\Chemistry\Volume;
use Vinculum\Cooking\KeepingClaim;
use Vinculum\Cooking\MethodReader;
use Vinculum\Family\FamilyGuess;
use Vinculum\Keeping\Cautions;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Aim;
use Vinculum\Sensory\Axis;

/** Where a sauce stands, with everything that follows from it. */
final readonly class BalanceReport extends Report
{
    /**
     * @param 'mixed'|'finished' $basis
     * @param list<LineReport> $lines
     * @param array{class: string, from: string, starch_percent_of_water: float} $body
     * @param array<value-of<Axis>, AxisReport> $axes by axis
     * @param float $noseHeat in 100 g
     * @param float|null $distance from the style, in steps
     * @param list<string> $allergens
     * @param list<string> $diets that it certainly fits
     * @param list<CautionReport> $cautions
     * @param list<string> $notes
     * @param array{grams: float, millilitres: float, axes: array<value-of<Axis>, AxisReport>}|null $mixed the same lines before
     *     cooking
     * @param array<value-of<Axis>, list<array{line: int, share: float}>> $shares which line brings how much of each axis, the
     *     largest first
     * @param array<value-of<Axis>, string> $sharesSay the same as a sentence
     * @param array<value-of<Axis>, list<array{line: int, share: float}>> $doubt which line brings how much of the uncertainty
     *     of each axis
     * @param string|null $doubtAdvice what would make it surer
     * @param array<string, BandReport> $bands of the other figures, by name
     * @param list<StageReport> $stages
     * @param array{text: string, millilitres: float|null, grams: float|null}|null $yield as it is written
     * @param int|null $servings
     * @param list<StepReport> $method step by step, as understood
     * @param list<array{text: string, why: string, sure?: bool}> $setAside what else stood on the page
     * @param list<array{style: string, likelihood: float}> $families that it looks like, the likeliest first
     * @param string|null $presumed the one to compare it with where it is of none as yet
     * @param list<string> $offered families that a cook is asked about
     * @param list<string> $letGo axes that do not count for it
     * @param list<value-of<Axis>> $mayLetGo axes of its style of which it holds nothing: whether they are to count is to be asked
     * @param NutritionReport|null $nutrition null where a line is not understood
     * @param NutritionBandsReport|null $nutritionBands how sure that is
     * @param array{centimetres: float, assumed: bool}|null $pan that its cooking was reckoned in
     * @param string|null $colour about, as "#b3261a"; null where nothing in it has one
     * @param string|null $keepingClaim what the recipe says of how long it keeps, in the cook's words
     */
    private function __construct(
        public ?string $title,
        public ?string $style,
        public Measures $measures,
        public string $basis,
        public array $lines,
        public BatchFiguresReport $batch,
        public array $body,
        public array $axes,
        public RatiosReport $ratios,
        public ?EstimateReport $ph,
        public ?EstimateReport $waterActivity,
        public float $noseHeat,
        public ?float $distance,
        public array $allergens,
        public array $diets,
        public array $cautions,
        public array $notes,
        public ?array $mixed,
        public array $shares,
        public array $sharesSay,
        public ?PartsReport $parts,
        public array $doubt,
        public ?string $doubtAdvice,
        public array $bands,
        public string $verdict,
        public array $stages,
        public ?array $yield,
        public ?int $servings,
        public array $method,
        public array $setAside,
        public array $families,
        public ?string $presumed,
        public array $offered,
        public array $letGo,
        public array $mayLetGo,
        public ?string $colour,
        public ?NutritionReport $nutrition,
        public ?NutritionBandsReport $nutritionBands,
        public PungencyReport $pungency,
        public ?string $keepingClaim,
        public ?array $pan,
    ) {}

    /** @param list<string> $notes besides those on how it was read and cooked; those on the balance follow */
    public static function of(Sauce $sauce, array $notes = []): self
    {
        [$balance, $recipe, $aim, $title] = [$sauce->balance(), $sauce->recipe, $sauce->aim, $sauce->title()];
        $body = $balance->body;
        $steps = MethodReader::steps($recipe->method);
        $shares = Shares::of($balance->formula);
        $families = FamilyGuess::for($balance, $title);
        $nutrition = NutritionReport::of($balance);

        return new self(
            $title,
            $sauce->family?->key,
            $recipe->measures,
            $balance->isFinished ? 'finished' : 'mixed',
            array_map(
                static fn(ResolvedLine $line): LineReport => LineReport::of(
                    $line,
                    $balance->formula->catalogue,
                    $recipe->said,
                ),
                $balance->formula->lines,
            ),
            BatchFiguresReport::of($balance),
            ['class' => $body->class, 'from' => $body->from, 'starch_percent_of_water' => $body->starchPercentOfWater],
            AxisReport::all($balance->axes, $aim),
            RatiosReport::of($balance),
            EstimateReport::of($balance->ph),
            EstimateReport::of($balance->waterActivity),
            $balance->figures->noseHeat->value,
            $aim->fromFamily($balance->taste),
            $balance->allergens(),
            $balance->diets(),
            CautionReport::all(Cautions::for($balance)),
            [...$sauce->notes(), ...$notes, ...$balance->notes],
            self::mixed($balance, $aim),
            array_map(self::byLine(...), $shares->byAxis),
            Axis::each(static fn(Axis $axis): string => $shares->says($axis, $balance->formula)),
            PartsReport::of($balance->formula),
            array_map(static fn(Estimate $estimate): array => self::byLine($estimate->mainShares()), $balance->axes),
            DoubtAdvice::for($balance)?->words($balance->formula),
            array_map(BandReport::of(...), $balance->figures->byName()),
            $aim->onTheWhole($balance->taste),
            array_map(StageReport::of(...), $sauce->cook->stages ?? []),
            self::yield($recipe),
            $recipe->servings,
            StepReport::all($steps, $balance->formula->lines),
            array_map(self::aside(...), $recipe->setAside),
            array_map(
                static fn(FamilyGuess $one): array => ['style' => $one->style, 'likelihood' => $one->likelihood],
                $families,
            ),
            $sauce->family === null ? FamilyGuess::presumed($balance, $families) : null,
            FamilyGuess::offered($families),
            $recipe->ignoredAxes,
            array_map(
                static fn(Axis $axis): string => $axis->value,
                $aim->family?->missingFrom($balance->taste) ?? [],
            ),
            StandingReport::colour($sauce),
            $nutrition,
            NutritionBandsReport::of($balance, $nutrition),
            PungencyReport::of($balance),
            KeepingClaim::in($recipe->told()),
            PanReport::of($sauce->cook?->pan),
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

    /** @return array{text: string, millilitres: float|null, grams: float|null}|null */
    private static function yield(Recipe $recipe): ?array
    {
        $text = $recipe->yield ?? $recipe->saidYield();
        $measured = $text === null ? null : MeasuredYield::parse($text, $recipe->measures);

        return $text === null
            ? null
            : ['text' => $text, 'millilitres' => $measured?->millilitres?->value, 'grams' => $measured?->grams?->value];
    }

    /** @return array{grams: float, millilitres: float, axes: array<value-of<Axis>, AxisReport>}|null */
    private static function mixed(Balance $balance, Aim $aim): ?array
    {
        $mixed = $balance->asMixed();

        return $mixed === null
            ? null
            : [
                'grams' => $mixed->mixture->grams(),
                'millilitres' => Volume::millilitres($mixed->mixture),
                'axes' => AxisReport::all($mixed->axes, $aim),
            ];
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
