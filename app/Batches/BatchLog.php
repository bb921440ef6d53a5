<?php

declare(strict_types=1);

namespace App\Batches;

use App\Palate\PalateService;
use App\Palate\Tasting;
use App\Pantry\Pantry;
use App\Recipes\HomeKitchen;
use Carbon\CarbonImmutable;
use Illuminate\Database\Connection;
use Vinculum\Balance\FinishedBatch;
use Vinculum\Chemistry\Volume;
use Vinculum\Comparison\BatchLesson;
use Vinculum\Comparison\BrandEffect;
use Vinculum\Comparison\MeasuredGap;
use Vinculum\Keeping\BatchSplit;
use Vinculum\Keeping\Keep;
use Vinculum\Kitchen\AnsweredTaste;
use Vinculum\Labelling\Jars;
use Vinculum\Planning\Shopping;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Report\AxisReport;
use Vinculum\Report\ComparisonReport;
use Vinculum\Report\KeepReport;
use Vinculum\Report\LabelReport;
use Vinculum\Report\Named;
use Vinculum\Report\StandingReport;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Verdict;

/**
 * The record of batches: what was made, how it keeps, what it cost, where its jars went, what was learned.
 *
 * @phpstan-import-type MeasuredFigures from BatchService
 * @phpstan-type FilledJar array{id: int, code: string, ml: float, went_to: string|null, finished_at: string|null}
 * @phpstan-type RecordedEvent array{
 *     id: int,
 *     kind: string,
 *     figures: Named<float>,
 *     words: string|null,
 *     at: float,
 *     says: string,
 * }
 * @phpstan-type BatchRecord array{
 *     made_on: string,
 *     use_by: string,
 *     code: string,
 *     yield: array{grams: float, millilitres: float, planned_grams: float, is_as_planned: bool},
 *     measured: MeasuredFigures,
 *     cost: array{total: float, unpriced: list<string>},
 *     keep: KeepReport,
 *     label: LabelReport,
 *     jars: list<FilledJar>,
 *     events: list<RecordedEvent>,
 * }
 * @phpstan-type Split array{
 *     parts: list<array{
 *         use: string,
 *         grams: float,
 *         wanted_grams: float,
 *         timing: string,
 *         rule: string,
 *         source: string,
 *     }>,
 *     left_grams: float,
 * }
 * @phpstan-type TastedThen array{
 *     at: string,
 *     scores: Named<float>,
 *     words: string|null,
 *     food: string|null,
 *     says: list<string>,
 * }
 * @phpstan-type LoggedBatch array{
 *     id: int,
 *     code: string,
 *     version: int,
 *     at: string|null,
 *     grams: float,
 *     is_cooked: bool,
 *     axes: array<value-of<Axis>, AxisReport>,
 *     measured: MeasuredFigures,
 *     tastings: list<TastedThen>,
 *     colour: string|null,
 *     added: list<string>,
 * }
 * @phpstan-type SauceLog array{
 *     batches: list<LoggedBatch>,
 *     learned: list<array{ingredient: string, name: string, figure: string, gap: float, batches: int}>,
 *     answers: string|null,
 * }
 * @phpstan-type TastedBetween array{
 *     brands: list<string>,
 *     tasted: array{before: list<TastedThen>, after: list<TastedThen>},
 * }
 */
final readonly class BatchLog
{
    private const MOST_BATCHES = 60;
    /** Grams that a batch may miss its plan by before a word is said. */
    private const AS_PLANNED_WITHIN = 5.0;

    public function __construct(
        private BatchService $batchService,
        private CookSessionService $cookSessions,
        private HomeKitchen $homeKitchen,
        private Pantry $pantry,
        private Connection $database,
    ) {}

    /** @return BatchRecord all that is known of one batch */
    public function record(Batch $batch): array
    {
        $balance = $this->batchService->balance($batch);
        $keep = Keep::of($balance);
        $made = self::made($batch);
        $cost = Shopping::cost($balance->formula, $this->pantry->shelf());
        $planned = FinishedBatch::of(
            $this->homeKitchen->formula($batch->recipe),
        )->mixture->grams() * ($this->cookSessions->planIfAny($batch)->scale->factor ?? 1.0);

        return [
            'made_on' => $made->toDateString(),
            'use_by' => $made->addDays((int) floor($keep->days['high']))->toDateString(),
            'code' => self::code($batch),
            'yield' => [
                'grams' => round($balance->mixture->grams(), 1),
                'millilitres' => round(Volume::millilitres($balance->mixture), 1),
                'planned_grams' => round($planned, 1),
                'is_as_planned' => abs($planned - $balance->mixture->grams()) <= self::AS_PLANNED_WITHIN,
            ],
            'measured' => $this->batchService->measured($batch),
            'cost' => ['total' => round($cost['cost'], 2), 'unpriced' => $cost['unpriced']],
            'keep' => KeepReport::of($keep),
            'label' => LabelReport::of($balance),
            'jars' => array_map(self::jar(...), self::jars($batch)),
            'events' => array_values(
                $batch->happenings->map(
                    static fn(StoredCookEvent $one): array => [
                        'id' => $one->id,
                        'kind' => $one->kind,
                        'figures' => new Named($one->figures),
                        'words' => $one->words,
                        'at' => $one->at,
                        'says' => $one->event()->says($batch->recipe->texts()),
                    ],
                )->all(),
            ),
        ];
    }

    /**
     * @param list<string> $uses
     *
     * @return Split
     */
    public function split(Batch $batch, array $uses, float $kilograms, float $people): array
    {
        return BatchSplit::of($this->batchService->balance($batch), $uses, $kilograms, $people);
    }

    /**
     * Jars that were filled, each with a code of its own.
     *
     * @throws TooMuch when they hold more than there is
     */
    public function fill(Batch $batch, float $millilitres, int $count, ?string $wentTo): void
    {
        $this->database->transaction(fn() => $this->fillFrom($batch, $millilitres, $count, $wentTo));
    }

    /** With the write lock held, so that what others fill meanwhile is counted. */
    private function fillFrom(Batch $batch, float $millilitres, int $count, ?string $wentTo): void
    {
        $jars = self::jars($batch);
        $filled = array_sum(array_map(static fn(Jar $jar): float => $jar->ml, $jars));
        $there = Volume::millilitres($this->batchService->balance($batch)->mixture);
        if (!Jars::fit($there, $filled, $count * $millilitres)) {
            throw new TooMuch(
                sprintf(
                    'The batch is %s, and %s are in jars already: %d of %s is more than is left.',
                    KitchenNumber::millilitres($there),
                    KitchenNumber::millilitres($filled),
                    $count,
                    KitchenNumber::millilitres($millilitres),
                ),
            );
        }
        for ($jar = 1; $jar <= $count; ++$jar) {
            Jar::query()->create([
                'batch_id' => $batch->id,
                'code' => self::code($batch) . '-' . (count($jars) + $jar),
                'ml' => $millilitres,
                'went_to' => $wentTo,
            ]);
        }
    }

    /** @return SauceLog every batch of a sauce over time, and what they teach */
    public function over(int $sauce): array
    {
        $batches = Batch::query()->with([
            'doses',
            'tastings',
            'happenings',
        ])
            ->where('sauce_id', $sauce)
            ->latest()
            ->orderByDesc('id')
            ->limit(self::MOST_BATCHES)
            ->get()
            ->reverse()
            ->values();
        [$rows, $gaps, $answers] = [[], [], []];
        /** @var Batch $batch */
        foreach ($batches as $batch) {
            $sauce = $this->batchService->sauce($batch);
            $balance = $sauce->balance();
            $measured = $this->batchService->measured($batch);
            array_push(
                $gaps,
                ...MeasuredGap::between(
                    $this->batchService->estimated($batch),
                    $measured['ph']['value'] ?? null,
                    $measured['solids']['value'] ?? null,
                ),
            );
            array_push($answers, ...PalateService::answered($batch->tastings->all()));
            $rows[] = [
                'id' => $batch->id,
                'code' => self::code($batch),
                'version' => $batch->version,
                'at' => $batch->created_at?->toIso8601String(),
                'grams' => round($balance->mixture->grams(), 1),
                'is_cooked' => $batch->wish !== null,
                'axes' => AxisReport::all($balance->axes, $sauce->aim),
                'measured' => $measured,
                'tastings' => self::tasted($batch),
                'colour' => StandingReport::colour($sauce),
                'added' => self::added($batch),
            ];
        }
        $catalogue = $this->homeKitchen->catalogue();

        return [
            'batches' => $rows,
            'learned' => array_map(
                static fn(BatchLesson $one): array => [
                    'ingredient' => $one->ingredient,
                    'name' => $catalogue->has($one->ingredient)
                        ? $catalogue->get($one->ingredient)->name
                        : $one->ingredient,
                    'figure' => $one->figure,
                    'gap' => round($one->gap, 2),
                    'batches' => $one->batches,
                ],
                BatchLesson::from($gaps),
            ),
            'answers' => AnsweredTaste::tally($answers),
        ];
    }

    /** @return list<string> what went into it to taste: "1 tsp lime juice" */
    private static function added(Batch $batch): array
    {
        $added = [];
        foreach ($batch->doses as $dose) {
            foreach ($dose->additions as $one) {
                $added[] = "{$one['measure']} " . mb_strtolower($one['name']);
            }
        }

        return $added;
    }

    /** @return array<string, mixed> what changed between two batches, and how the taste changed with it */
    public function between(Batch $before, Batch $after): array
    {
        [$was, $is] = [$this->batchService->sauce($before), $this->batchService->sauce($after)];

        return [
            ...ComparisonReport::of($was, $is)->toArray(),
            'brands' => array_map(
                static fn(BrandEffect $one): string => $one->words(),
                BrandEffect::between($was->formula, $is->formula),
            ),
            'tasted' => ['before' => self::tasted($before), 'after' => self::tasted($after)],
        ];
    }

    public static function code(Batch $batch): string
    {
        return Jars::code($batch->recipe->title, self::made($batch)->format('ymd'), $batch->id);
    }

    private static function made(Batch $batch): CarbonImmutable
    {
        return $batch->created_at ?? CarbonImmutable::now();
    }

    /** @return list<Jar> */
    private static function jars(Batch $batch): array
    {
        /** @var list<Jar> $jars */
        $jars = Jar::query()->where('batch_id', $batch->id)->orderBy('id')->get()->all();

        return $jars;
    }

    /** @return FilledJar */
    private static function jar(Jar $jar): array
    {
        return [
            'id' => $jar->id,
            'code' => $jar->code,
            'ml' => $jar->ml,
            'went_to' => $jar->went_to,
            'finished_at' => $jar->finished_at?->toIso8601String(),
        ];
    }

    /** @return list<TastedThen> */
    private static function tasted(Batch $batch): array
    {
        return array_values(
            $batch->tastings->map(
                static fn(Tasting $one): array => [
                    'at' => $one->tasted_at->toIso8601String(),
                    'scores' => new Named($one->scores),
                    'words' => $one->words,
                    'food' => $one->food,
                    'says' => self::scored($one->scores),
                ],
            )->all(),
        );
    }

    /**
     * @param array<string, float> $scores by axis
     *
     * @return list<string> "a little too sweet"
     */
    private static function scored(array $scores): array
    {
        $says = [];
        foreach (Axis::cases() as $axis) {
            $says[] = Verdict::ofScore($axis, (float) ($scores[$axis->value] ?? 0.0));
        }

        return array_values(array_filter($says));
    }
}
