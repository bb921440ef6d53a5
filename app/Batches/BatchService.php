<?php

declare(strict_types=1);

namespace App\Batches;

use App\Palate\PalateService;
use App\Palate\Tasting;
use App\Recipes\HomeKitchen;
use App\Recipes\Sauce;
use App\Recipes\SauceService;
use Carbon\CarbonImmutable;
use Illuminate\Database\Connection;
use Vinculum\Balance\Balance;
use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Correction\Advice;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Tongue;
use Vinculum\Correction\Wish;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Kitchen\Sauce as WeighedSauce;
use Vinculum\Quantity\Amount;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Report\AxisReport;
use Vinculum\Report\BalanceReport;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/**
 * The batch at the stove: what is in it, what to add, and what the tongue said.
 *
 * @phpstan-type MeasuredFigures array{
 *     ph: array{value: float, estimate: float|null, low: float|null, high: float|null}|null,
 *     solids: array{value: float, estimate: float}|null,
 * }
 */
final class BatchService
{
    /** @var array<string, Formula> worked out in this request, by batch and what has happened to it */
    private array $formulas = [];

    /** @var array<string, WeighedSauce> the same, with what was measured */
    private array $sauces = [];

    public function __construct(
        private readonly HomeKitchen $homeKitchen,
        private readonly SauceService $sauceService,
        private readonly PalateService $palateService,
        private readonly CookSessionService $cookSessions,
        private readonly Connection $database,
    ) {}

    /** @param float|null $panGrams as weighed; the formula's own weight when null */
    public function start(int $sauce, ?float $panGrams): Batch
    {
        return $this->database->transaction(function () use ($sauce, $panGrams): Batch {
            $version = $this->sauceService->keep($sauce);

            return Batch::query()->create([
                'sauce_id' => $sauce,
                'version' => $version->number,
                'recipe' => $this->homeKitchen->linesApart($version->recipe),
                'pan_grams' => $panGrams,
            ]);
        });
    }

    /** Grams that the formula itself comes to, before any dose. */
    public function formulaGrams(Batch $batch): float
    {
        return FinishedBatch::of($this->formula($batch))->mixture->grams();
    }

    /**
     * What is in the pan, with what was measured of it.
     *
     * @param int|null $doses how many of its doses to count; all when null
     */
    public function balance(Batch $batch, ?int $doses = null): Balance
    {
        return $this->sauce($batch, $doses)->balance();
    }

    /** The same, against what is wanted of it. */
    public function sauce(Batch $batch, ?int $doses = null): WeighedSauce
    {
        return $this->sauces[self::state($batch, $doses)] ??= $this->homeKitchen->weighPan(
            $batch->recipe,
            $this->inThePan($batch, $doses),
            $this->cookSessions->treatment($batch),
        );
    }

    /** What is in the pan as the model has it, whatever was measured. */
    public function estimated(Batch $batch): Balance
    {
        return Balance::of($this->inThePan($batch));
    }

    private function inThePan(Batch $batch, ?int $doses = null): Formula
    {
        return $this->formulas[self::state($batch, $doses)] ??= $this->cooked($batch, $doses);
    }

    private function cooked(Batch $batch, ?int $doses): Formula
    {
        $formula = $this->formula($batch);
        $given = array_slice($batch->doses->all(), 0, $doses);

        return $formula->times(self::factor($batch, $formula))->dosedWith(
            ...array_merge([], ...array_map($this->lines(...), $given)),
        );
    }

    /** What a batch is worked out from, so that the same is worked out once. */
    private static function state(Batch $batch, ?int $doses): string
    {
        return implode(
            ' ',
            [$batch->id, $batch->pan_grams, $doses, $batch->doses->last()?->id, $batch->happenings->last()?->id],
        );
    }

    /** The balance of what is in the pan now. */
    public function report(Batch $batch): BalanceReport
    {
        return BalanceReport::of($this->sauce($batch));
    }

    /**
     * What the instruments read of the batch, beside what the model had said.
     *
     * @return MeasuredFigures
     */
    public function measured(Batch $batch): array
    {
        $record = $this->cookSessions->treatment($batch);
        if ($record->ph() === null && $record->solids === null) {
            return ['ph' => null, 'solids' => null];
        }
        $balance = $this->estimated($batch);

        return [
            'ph' => $record->ph() === null
                ? null
                : [
                    'value' => $record->ph(),
                    'estimate' => $balance->ph === null ? null : round($balance->ph->value, 2),
                    'low' => $balance->ph === null ? null : round($balance->ph->low, 2),
                    'high' => $balance->ph === null ? null : round($balance->ph->high, 2),
                ],
            'solids' => $record->solids === null
                ? null
                : ['value' => $record->solids, 'estimate' => round($balance->figures->dissolvedSolids->value, 1)],
        ];
    }

    /** What is in the pan as far as it was measured: the cook's own amounts, or the formula's. */
    private function formula(Batch $batch): Formula
    {
        return $this->cookSessions->actualFormula($batch) ?? $this->homeKitchen->formula($batch->recipe);
    }

    /**
     * What to add, for what the tongue says.
     *
     * @param list<array{complaint: string, strength: string}> $said
     * @param bool $isWayBack the last dose was too much
     */
    public function advise(Batch $batch, array $said, bool $isWayBack, ?float $capacityMillilitres): Advice
    {
        $sauce = $this->sauce($batch);
        $now = $sauce->balance()->taste;
        $target = $isWayBack && $batch->doses->isNotEmpty()
            ? Tongue::wayBack($this->balance($batch, $batch->doses->count() - 1)->taste, $now)
            : Tongue::saying($said)->target($now);

        return match (true) {
            $target !== null => (new Adviser($sauce))->toReach(
                $target,
                $capacityMillilitres,
                $isWayBack ? [] : array_column($said, 'complaint'),
            ),
            $sauce->aim->target() === null => Advice::without(
                $now,
                ['Tap what the tongue says, and what to add is found.'],
            ),
            default => (new Adviser($sauce))->answer(new Wish(capacityMillilitres: $capacityMillilitres)),
        };
    }

    /**
     * @param list<array{ingredient: string, grams: float, measure: string}> $additions
     * @param list<array{complaint: string, strength: string}> $said
     * @param list<list<string>> $offered the ways that were offered for it, the first answer first
     */
    public function dose(Batch $batch, array $additions, array $said, array $offered, string $why): void
    {
        $this->database->transaction(function () use ($batch, $additions, $said, $offered, $why): void {
            if ($said !== []) {
                $this->taste($batch, [
                    'said' => $said,
                    'answer' => TastingRequest::answer($offered, array_column($additions, 'ingredient')),
                ]);
            }
            $catalogue = $this->homeKitchen->catalogue();
            $batch->doses()->create([
                'why' => $why,
                'additions' => array_map(
                    static fn(array $one): array => [
                        ...$one,
                        'name' => $catalogue->get($one['ingredient'])->name,
                        'like' => $catalogue->get($one['ingredient'])->kind(),
                    ],
                    $additions,
                ),
            ]);
            $batch->load('doses');
        });
    }

    /** Takes the last dose off the record, for a tap that was a slip: its answer was not taken then. */
    public function undose(Batch $batch): void
    {
        $this->database->transaction(static function () use ($batch): void {
            $batch->doses->last()?->delete();
            $batch->tastings->last(static fn(Tasting $one): bool => ($one->answer['taken'] ?? null) !== null)
                ?->update(['answer' => null]);
        });
        $this->palateService->tasted();
    }

    /**
     * Keeps a tasting with the balance of this moment.
     *
     * @param array{said?: list<array{complaint: string, strength: string}>, answer?: array{offered: list<list<string>>, taken: list<string>|null}|null, scores?: array<string, float>, temperature?: string|null, food?: string|null, words?: string|null, good?: bool} $told
     */
    public function taste(Batch $batch, array $told): Tasting
    {
        $sauce = $this->sauce($batch);
        $said = $told['said'] ?? [];
        $good = ($told['good'] ?? false) ? Axis::each(static fn(): float => 0.0) : [];

        $tasting = $batch->tastings()->create([
            'sauce_id' => $batch->sauce_id,
            'style' => $sauce->family?->key,
            'tasted_at' => CarbonImmutable::now(),
            'temperature' => $told['temperature'] ?? null,
            'food' => $told['food'] ?? null,
            'words' => $told['words'] ?? null,
            'said' => $said,
            'answer' => $told['answer'] ?? null,
            'scores' => [...$good, ...Tongue::saying($said)->scores(), ...($told['scores'] ?? [])],
            'steps' => self::steps($sauce->balance()->taste),
            'balance' => AxisReport::all($sauce->balance()->axes, $sauce->aim),
        ]);
        $this->palateService->tasted();

        return $tasting;
    }

    /** @return list<string> the doses as lines of the sauce's own formula, in its size */
    public function dosesAsLines(Batch $batch): array
    {
        $factor = $this->ofTheSauce($batch);
        $spoons = $this->homeKitchen->kitchen()->spoons($batch->recipe->measures);
        $sums = [];
        foreach ($batch->doses as $dose) {
            foreach ($dose->additions as $one) {
                $sums[$one['ingredient']] = ($sums[$one['ingredient']] ?? 0.0) + $one['grams'] / $factor;
            }
        }
        $lines = [];
        foreach ($sums as $key => $grams) {
            $ingredient = $this->ingredient((string) $key, $batch);
            if ($ingredient !== null) {
                $lines[] = $ingredient->portions->measure($grams, $spoons)->of($ingredient->name);
            }
        }

        return $lines;
    }

    /** Puts the doses into the sauce itself, as lines of its own, when it is still as the batch had it. */
    public function intoTheSauce(Batch $batch): Sauce
    {
        return $this->database->transaction(function () use ($batch): Sauce {
            $sauce = Sauce::query()->findOrFail($batch->sauce_id);
            $this->sauceService->keep($sauce->id);
            $edit = $sauce->recipe;
            $factor = $this->ofTheSauce($batch);
            $balance = $this->balance($batch);
            // a dose after the yield was measured makes more of it
            $yield = $edit->yield === null || !$balance->isFinished
                ? $edit->yield
                : MeasuredYield::written($balance->mixture->grams() / $factor);

            return $this->sauceService->edit(
                $sauce->id,
                $sauce->revision,
                $edit->withMore($this->dosesAsLines($batch), $yield),
            );
        });
    }

    /** How many times the sauce's own formula the batch is, before any dose. */
    private function ofTheSauce(Batch $batch): float
    {
        $formula = $this->homeKitchen->formula($batch->recipe);
        $grams = FinishedBatch::of($formula)->mixture->grams();

        return $batch->wish === null || $grams <= 0.0
            ? self::factor($batch, $formula)
            : $this->formulaGrams($batch) / $grams;
    }

    private static function factor(Batch $batch, Formula $formula): float
    {
        $grams = FinishedBatch::of($formula)->mixture->grams();

        return $batch->pan_grams === null || $grams <= 0.0 ? 1.0 : $batch->pan_grams / $grams;
    }

    /** @return list<ResolvedLine> */
    private function lines(Dose $dose): array
    {
        $lines = [];
        foreach ($dose->additions as $one) {
            $catalogue = $this->homeKitchen->catalogue();
            $key = $catalogue->has($one['ingredient']) ? $one['ingredient'] : $one['like'];
            if ($catalogue->has($key)) {
                $ingredient = $catalogue->get($key);
                $lines[] = ResolvedLine::ofGrams(
                    $ingredient,
                    Amount::within($one['grams'], $ingredient->portions->texture->deviation()),
                );
            }
        }

        return $lines;
    }

    private function ingredient(string $key, Batch $batch): ?Ingredient
    {
        $catalogue = $this->homeKitchen->catalogue();
        foreach ($batch->doses as $dose) {
            foreach ($dose->additions as $one) {
                if ($one['ingredient'] === $key && !$catalogue->has($key)) {
                    $key = $one['like'];
                }
            }
        }

        return $catalogue->has($key) ? $catalogue->get($key) : null;
    }

    /** @return array<string, float> */
    private static function steps(Taste $taste): array
    {
        return Axis::each(static fn(Axis $axis): float => round($taste->stepsOn($axis), 4));
    }
}
