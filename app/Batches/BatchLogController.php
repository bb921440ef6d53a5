<?php

declare(strict_types=1);

namespace App\Batches;

use App\Http\Answers;
use App\Http\Faults;
use App\Recipes\FormulaRequest;
use App\Recipes\HomeKitchen;
use App\Recipes\Sauce;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use Vinculum\Keeping\Keep;
use Vinculum\Report\ComparisonReport;
use Vinculum\Report\KeepReport;

/**
 * What was made, how it keeps, and where it went. Nothing here is ever edited away: corrections are added.
 *
 * @phpstan-import-type BatchRecord from BatchLog
 * @phpstan-import-type SauceLog from BatchLog
 * @phpstan-import-type Split from BatchLog
 * @phpstan-import-type TastedBetween from BatchLog
 */
final readonly class BatchLogController
{
    /** What can be written into the record of any batch. */
    private const ENTRIES = ['note', 'ph', 'solids', 'undone'];

    public function __construct(private BatchLog $batchLog, private CookSessionService $cookSessions) {}

    #[Answers('SauceLog')]
    public function over(int $sauce): JsonResponse
    {
        Sauce::query()->findOrFail($sauce);

        return new JsonResponse($this->batchLog->over($sauce));
    }

    #[Answers('BatchRecord')]
    public function show(int $batch): JsonResponse
    {
        return $this->answer(self::find($batch));
    }

    #[Answers('BatchRecord', 201)]
    public function write(int $batch, CookEventRequest $request): JsonResponse
    {
        $found = self::find($batch);
        if (!in_array($request->kind(), self::ENTRIES, true)) {
            throw ValidationException::withMessages([
                'kind' => 'Into the record go ' . implode(', ', self::ENTRIES) . '.',
            ]);
        }
        if ($request->kind() === 'note' && $request->words() === null) {
            throw ValidationException::withMessages(['words' => 'Write the note first.']);
        }
        $figures = $request->figures();
        if (
            isset($figures['event'])
            && !StoredCookEvent::query()->where('batch_id', $batch)->whereKey((int) $figures['event'])->exists()
        ) {
            throw ValidationException::withMessages(['event' => 'There is no such entry in this batch.']);
        }
        $this->cookSessions->recordEvent(
            $found,
            $request->kind(),
            $figures,
            [],
            $request->words(),
            $request->at(StoredCookEvent::now()),
            $request->key(),
        );

        return $this->answer($found, 201);
    }

    #[Answers('BatchRecord', 201)]
    public function fill(int $batch, JarRequest $request): JsonResponse
    {
        $found = self::find($batch);
        try {
            $this->batchLog->fill($found, $request->millilitres(), $request->count(), $request->wentTo());
        } catch (TooMuch $fault) {
            throw Faults::in('ml', $fault);
        }

        return $this->answer($found, 201);
    }

    #[Answers('BatchRecord')]
    public function jar(int $jar, JarEditRequest $request): JsonResponse
    {
        $found = Jar::query()->findOrFail($jar);
        if ($request->exists('went_to')) {
            $found->went_to = $request->filled('went_to') ? (string) $request->string('went_to') : null;
        }
        if ($request->exists('finished')) {
            $found->finished_at = $request->boolean('finished') ? Carbon::now()->toImmutable() : null;
        }
        $found->save();

        return $this->answer(self::find($found->batch_id));
    }

    #[Answers('Split')]
    public function split(int $batch, SplitRequest $request): JsonResponse
    {
        return new JsonResponse(
            $this->batchLog->split(self::find($batch), $request->uses(), $request->kilograms(), $request->people()),
        );
    }

    #[Answers([ComparisonReport::class, 'TastedBetween'])]
    public function between(int $before, int $after): JsonResponse
    {
        return new JsonResponse($this->batchLog->between(self::find($before), self::find($after)));
    }

    #[Answers(KeepReport::class)]
    public function keep(FormulaRequest $request, HomeKitchen $homeKitchen): JsonResponse
    {
        $edit = $request->edit();

        return new JsonResponse(KeepReport::of(Keep::of($homeKitchen->balance($edit)), $edit->told()));
    }

    private static function find(int $batch): Batch
    {
        return Batch::query()->with(['doses', 'tastings'])->findOrFail($batch);
    }

    private function answer(Batch $batch, int $status = 200): JsonResponse
    {
        return new JsonResponse($this->batchLog->record($batch), $status);
    }
}
