<?php

declare(strict_types=1);

namespace App\Batches;

use App\Hob\HomeHob;
use App\Instruments\PhMeterService;
use App\Recipes\HomeKitchen;
use App\Recipes\SauceService;
use Illuminate\Database\Connection;
use Illuminate\Database\UniqueConstraintViolationException;
use Vinculum\Balance\Formula;
use Vinculum\Balance\Treatment;
use Vinculum\Cooking\MethodReader;
use Vinculum\CookSession\CookPlan;
use Vinculum\CookSession\CookRecord;
use Vinculum\CookSession\Event\PhMeasured;
use Vinculum\CookSession\Event\SolidsMeasured;
use Vinculum\Scaling\RequestedSize;
use Vinculum\Scaling\ScaleFault;

/** Cooks a batch from its sheet, and writes down what happens. */
final class CookSessionService
{
    /** @var array<int, CookPlan> worked out in this request, by batch */
    private array $plans = [];

    /** Asked once in a request. */
    private ?bool $isMeterStale = null;

    public function __construct(
        private readonly SauceService $sauceService,
        private readonly HomeHob $hob,
        private readonly HomeKitchen $homeKitchen,
        private readonly Connection $database,
    ) {}

    /** @throws ScaleFault when it cannot be made in that size */
    public function startFromSheet(int $sauce, RequestedSize $wish): Batch
    {
        return $this->database->transaction(function () use ($sauce, $wish): Batch {
            $version = $this->sauceService->keep($sauce);
            $batch = new Batch([
                'sauce_id' => $sauce,
                'version' => $version->number,
                'wish' => $wish->toArray(),
                'recipe' => $this->homeKitchen->linesApart($version->recipe),
            ]);
            $this->plan($batch);
            $batch->save();

            return $batch;
        });
    }

    /**
     * The plan of a batch, which never changes once it is stored.
     *
     * @throws ScaleFault
     */
    public function plan(Batch $batch): CookPlan
    {
        if (!$batch->exists) {
            return $this->workedOut($batch);
        }

        return $this->plans[$batch->id] ??= $this->workedOut($batch);
    }

    /** @throws ScaleFault */
    private function workedOut(Batch $batch): CookPlan
    {
        $sauce = $this->homeKitchen->weigh($batch->recipe);
        $size = $batch->wish === null ? RequestedSize::once() : RequestedSize::kept($batch->wish);

        return CookPlan::of($size->scale($sauce), $sauce);
    }

    public function record(Batch $batch): CookRecord
    {
        return CookRecord::of(
            array_values($batch->happenings->map(static fn(StoredCookEvent $one) => $one->event())->all()),
        );
    }

    /** What was done with it, and what was measured of it since anything was last added to taste. */
    public function treatment(Batch $batch): Treatment
    {
        $dosedAt = (float) ($batch->doses->last()?->created_at?->getTimestamp() ?? 0);
        $readings = ['ph' => [], 'solids' => []];
        foreach ($this->record($batch)->since($dosedAt) as $event) {
            if ($event instanceof PhMeasured) {
                $readings['ph'][] = $event->ph;
            } elseif ($event instanceof SolidsMeasured) {
                $readings['solids'][] = $event->percent;
            }
        }
        $isStale = $readings['ph'] !== []
            && ($this->isMeterStale ??= PhMeterService::calibration()?->isStale(StoredCookEvent::now()) ?? false);

        return MethodReader::treatment(
            $batch->recipe->method,
            new Treatment(
                false,
                $readings['ph'],
                null,
                $isStale,
                $readings['solids'] === [] ? null : end($readings['solids']),
            ),
            $batch->recipe->prose(),
        );
    }

    /** What really went in, where the batch is cooked from a sheet. */
    public function actualFormula(Batch $batch): ?Formula
    {
        return $this->planIfAny($batch)?->actualFormula($this->record($batch));
    }

    /**
     * The plan of a batch that is cooked from a sheet; null where it is not, or was asked for in a size that cannot be
     * made.
     */
    public function planIfAny(Batch $batch): ?CookPlan
    {
        try {
            return $batch->wish === null ? null : $this->plan($batch);
        } catch (ScaleFault) {
            return null;
        }
    }

    /**
     * Something happened. Told twice under one key it is stored once, so that a page may send it again.
     *
     * @param array<string, float> $figures
     * @param array<int, float> $grams
     */
    public function recordEvent(
        Batch $batch,
        string $kind,
        array $figures,
        array $grams,
        ?string $words,
        float $at,
        ?string $key,
    ): void {
        $batch->unsetRelation('happenings');
        try {
            $this->database->transaction(function () use ($batch, $kind, $figures, $grams, $words, $at, $key): void {
                StoredCookEvent::query()->create([
                    'batch_id' => $batch->id,
                    'kind' => $kind,
                    'figures' => $figures,
                    'grams' => $grams,
                    'words' => $words,
                    'at' => $at,
                    'key' => $key,
                ]);
                if ($kind === 'pan-reads' || $kind === 'undone') {
                    $this->learn($batch);
                    // what was learned of the hob changes how long the rest takes
                    unset($this->plans[$batch->id]);
                }
            });
        } catch (UniqueConstraintViolationException) {
            // it was stored the first time
        }
    }

    private function learn(Batch $batch): void
    {
        $this->hob->learn($batch->id, $this->planIfAny($batch)?->weighedCook($this->record($batch)));
    }
}
