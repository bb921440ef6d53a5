<?php

declare(strict_types=1);

namespace App\Batches;

use App\Http\Answers;
use App\Recipes\Sauce;
use App\Recipes\SauceResource;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Vinculum\Report\AdviceReport;
use Vinculum\Report\BalanceReport;

/**
 * @phpstan-import-type BatchSummary from BatchResource
 * @phpstan-type Batches array{batches: list<BatchSummary>}
 * @phpstan-type PanNow array{formula_grams: float, balance: BalanceReport, as_lines: list<string>}
 *
 * @phpstan-import-type SauceSent from SauceResource
 */
final readonly class BatchController
{
    private const MOST = 100;

    public function __construct(private BatchService $batchService) {}

    #[Answers('Batches')]
    public function index(int $sauce): JsonResponse
    {
        Sauce::query()->findOrFail($sauce);
        $batches = Batch::query()->where('sauce_id', $sauce)->withCount(['doses', 'tastings'])->withExists([
            'happenings as is_finished' => static fn(Builder $one) => $one->where('kind', 'finished'),
        ])->latest('id')->limit(self::MOST)->get();

        return new JsonResponse(['batches' => BatchResource::collection($batches)->resolve()]);
    }

    #[Answers(['BatchSummary', 'PanNow'], 201)]
    public function store(int $sauce, BatchRequest $request): JsonResponse
    {
        Sauce::query()->findOrFail($sauce);

        return $this->answer($this->batchService->start($sauce, $request->panGrams()), 201);
    }

    #[Answers(['BatchSummary', 'PanNow'])]
    public function show(int $batch): JsonResponse
    {
        return $this->answer(self::find($batch));
    }

    #[Answers(['BatchSummary', 'PanNow'])]
    public function weigh(int $batch, BatchRequest $request): JsonResponse
    {
        $found = self::find($batch);
        if ($found->doses->isNotEmpty()) {
            throw ValidationException::withMessages([
                'pan_grams' => 'Something was added already, so the weight before it can no longer change. Start from the pan anew.',
            ]);
        }
        $found->update(['pan_grams' => $request->panGrams()]);

        return $this->answer($found);
    }

    #[Answers(AdviceReport::class)]
    public function advise(int $batch, TastingRequest $request): JsonResponse
    {
        $found = self::find($batch);
        $advice = $this->batchService->advise(
            $found,
            $request->says(),
            $request->boolean('way_back'),
            $request->capacity(),
        );

        return new JsonResponse(
            AdviceReport::of($advice, $this->batchService->sauce($found)),
        );
    }

    #[Answers(['BatchSummary', 'PanNow'], 201)]
    public function dose(int $batch, TastingRequest $request): JsonResponse
    {
        $found = self::find($batch);
        if ($request->additions() === []) {
            throw ValidationException::withMessages(['additions' => 'Say what was added.']);
        }
        $this->batchService->dose(
            $found,
            $request->additions(),
            $request->says(),
            $request->offered(),
            $request->boolean('way_back')
                ? 'the way back'
                : implode(
                    ', ',
                    array_map(
                        static fn(array $one): string => str_replace('-', ' ', $one['complaint']),
                        $request->says(),
                    ),
                ),
        );

        return $this->answer(self::find($batch), 201);
    }

    /** Takes the last dose off the record, for a tap that was a slip. */
    #[Answers(['BatchSummary', 'PanNow'])]
    public function undose(int $batch): JsonResponse
    {
        $found = self::find($batch);
        $this->batchService->undose($found);

        return $this->answer(self::find($batch));
    }

    #[Answers(['BatchSummary', 'PanNow'], 201)]
    public function taste(int $batch, TastingRequest $request): JsonResponse
    {
        $found = self::find($batch);
        $this->batchService->taste($found, $request->told());
        if ($request->boolean('close')) {
            $found->update(['closed_at' => now()]);
        }

        return $this->answer(self::find($batch), 201);
    }

    #[Answers('SauceSent')]
    public function intoTheSauce(int $batch): JsonResponse
    {
        return new JsonResponse((new SauceResource($this->batchService->intoTheSauce(self::find($batch))))->resolve());
    }

    private static function find(int $batch): Batch
    {
        return Batch::query()->with(['doses', 'tastings'])->findOrFail($batch);
    }

    private function answer(Batch $batch, int $status = 200): JsonResponse
    {
        $batch->loadMissing(['doses', 'tastings']);

        return new JsonResponse([
            ...(new BatchResource($batch))->resolve(),
            'formula_grams' => round($this->batchService->formulaGrams($batch), 1),
            'balance' => $this->batchService->report($batch),
            'as_lines' => $this->batchService->dosesAsLines($batch),
        ], $status);
    }
}
