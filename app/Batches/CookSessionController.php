<?php

declare(strict_types=1);

namespace App\Batches;

use App\Http\Answers;
use App\Http\Faults;
use App\Recipes\Sauce;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Vinculum\CookSession\CookPlan;
use Vinculum\Quantity\Measures;
use Vinculum\Report\BalanceReport;
use Vinculum\Report\CookReport;
use Vinculum\Scaling\ScaleFault;

/**
 * Cooking from a sheet: what to do next, and what happened.
 *
 * @phpstan-import-type MeasuredFigures from BatchService
 * @phpstan-type CookedBatch array{
 *     id: int,
 *     sauce: int,
 *     version: int,
 *     title: string,
 *     measures: value-of<Measures>,
 *     pan_named: string|null,
 *     started_at: string|null,
 *     balance: BalanceReport,
 *     measured: MeasuredFigures,
 * }
 */
final readonly class CookSessionController
{
    public function __construct(private CookSessionService $cookSessions, private BatchService $batchService) {}

    #[Answers([CookReport::class, 'CookedBatch'], 201)]
    public function start(int $sauce, CookStartRequest $request): JsonResponse
    {
        Sauce::query()->findOrFail($sauce);
        try {
            return $this->answer($this->cookSessions->startFromSheet($sauce, $request->wish()), 201);
        } catch (ScaleFault $fault) {
            throw Faults::in('to', $fault);
        }
    }

    #[Answers([CookReport::class, 'CookedBatch'])]
    public function show(int $batch): JsonResponse
    {
        return $this->answer(self::find($batch));
    }

    #[Answers([CookReport::class, 'CookedBatch'], 201)]
    public function recordEvent(int $batch, CookEventRequest $request): JsonResponse
    {
        $found = self::find($batch);
        $figures = $request->figures();
        self::check($this->cookSessions->plan($found), $found, $request->kind(), $figures, $request->grams());
        $this->cookSessions->recordEvent(
            $found,
            $request->kind(),
            $figures,
            $request->grams(),
            $request->words(),
            $request->at(StoredCookEvent::now()),
            $request->key(),
        );

        return $this->answer($found, 201);
    }

    /**
     * @param array<string, float> $figures
     * @param array<int, float> $grams
     */
    private static function check(CookPlan $plan, Batch $batch, string $kind, array $figures, array $grams): void
    {
        foreach ([...array_keys($grams), ...(isset($figures['line']) ? [(int) $figures['line']] : [])] as $line) {
            if (!isset($plan->scale->lines[$line])) {
                throw ValidationException::withMessages([
                    'line' => sprintf('There is no line %d in this batch.', $line + 1),
                ]);
            }
        }
        if (isset($figures['step']) && !isset($plan->steps()[(int) $figures['step']])) {
            throw ValidationException::withMessages(['step' => 'There is no such step in this batch.']);
        }
        foreach (['timer', 'event'] as $named) {
            if (
                isset($figures[$named])
                && !StoredCookEvent::query()->where('batch_id', $batch->id)->whereKey((int) $figures[$named])->exists()
            ) {
                throw ValidationException::withMessages([$named => "There is no such {$named} in this batch."]);
            }
        }
    }

    private static function find(int $batch): Batch
    {
        $found = Batch::query()->with(['doses', 'tastings'])->findOrFail($batch);

        return $found->wish === null ? throw new NotFoundHttpException() : $found;
    }

    private function answer(Batch $batch, int $status = 200): JsonResponse
    {
        $batch->loadMissing(['doses', 'tastings']);
        $record = $this->cookSessions->record($batch);

        return new JsonResponse([
            'id' => $batch->id,
            'sauce' => $batch->sauce_id,
            'version' => $batch->version,
            'title' => $batch->recipe->title,
            'measures' => $batch->recipe->measures->value,
            'pan_named' => $batch->recipe->pan,
            'started_at' => $batch->created_at?->toIso8601String(),
            ...CookReport::of(
                $this->cookSessions->plan($batch),
                $record,
                StoredCookEvent::now(),
            )->toArray(),
            'balance' => $this->batchService->report($batch),
            'measured' => $this->batchService->measured($batch),
        ], $status);
    }
}
