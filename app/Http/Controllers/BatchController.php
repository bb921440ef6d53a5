<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BatchRequest;
use App\Http\Requests\TongueRequest;
use App\Http\Resources\BatchResource;
use App\Http\Resources\SauceResource;
use App\Kitchen\Stove;
use App\Models\Batch;
use App\Models\Sauce;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Vinculum\Contract\AdviceShape;

final readonly class BatchController
{
    private const MOST = 100;

    public function __construct(private Stove $stove) {}

    public function index(int $sauce): JsonResponse
    {
        Sauce::query()->findOrFail($sauce);
        $batches = Batch::query()->where('sauce_id', $sauce)->withCount(['doses', 'tastings'])->withExists(['happenings as is_finished' => static fn(Builder $one) => $one->where('kind', 'finished')])->latest('id')->limit(self::MOST)->get();

        return new JsonResponse(['batches' => BatchResource::collection($batches)->resolve()]);
    }

    public function store(int $sauce, BatchRequest $request): JsonResponse
    {
        Sauce::query()->findOrFail($sauce);

        return $this->answer($this->stove->start($sauce, $request->panGrams()), 201);
    }

    public function show(int $batch): JsonResponse
    {
        return $this->answer(self::find($batch));
    }

    public function weigh(int $batch, BatchRequest $request): JsonResponse
    {
        $found = self::find($batch);
        if ($found->doses->isNotEmpty()) {
            throw ValidationException::withMessages(['pan_grams' => 'Something was added already, so the weight before it can no longer change. Start from the pan anew.']);
        }
        $found->update(['pan_grams' => $request->panGrams()]);

        return $this->answer($found);
    }

    public function advise(int $batch, TongueRequest $request): JsonResponse
    {
        $found = self::find($batch);
        $advice = $this->stove->advise($found, $request->says(), $request->boolean('way_back'), $request->capacity());

        return new JsonResponse(AdviceShape::of($advice, $this->stove->balance($found), $found->measures));
    }

    public function dose(int $batch, TongueRequest $request): JsonResponse
    {
        $found = self::find($batch);
        if ($request->additions() === []) {
            throw ValidationException::withMessages(['additions' => 'Say what was added.']);
        }
        $this->stove->dose($found, $request->additions(), $request->says(), $request->boolean('way_back') ? 'the way back' : implode(', ', array_map(static fn(array $one): string => str_replace('-', ' ', $one['complaint']), $request->says())));

        return $this->answer(self::find($batch), 201);
    }

    /** Takes the last dose off the record, for a tap that was a slip. */
    public function undose(int $batch): JsonResponse
    {
        $found = self::find($batch);
        $found->doses->last()?->delete();

        return $this->answer(self::find($batch));
    }

    public function taste(int $batch, TongueRequest $request): JsonResponse
    {
        $found = self::find($batch);
        $this->stove->taste($found, $request->told());
        if ($request->boolean('close')) {
            $found->update(['closed_at' => now()]);
        }

        return $this->answer(self::find($batch), 201);
    }

    public function intoTheSauce(int $batch): JsonResponse
    {
        return new JsonResponse((new SauceResource($this->stove->intoTheSauce(self::find($batch))))->resolve());
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
            'formula_grams' => round($this->stove->formulaGrams($batch), 1),
            'balance' => $this->stove->report($batch),
            'as_lines' => $this->stove->dosesAsLines($batch),
        ], $status);
    }
}
