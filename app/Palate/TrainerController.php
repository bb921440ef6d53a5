<?php

declare(strict_types=1);

namespace App\Palate;

use App\Http\Answers;
use App\Pantry\Pantry;
use Illuminate\Http\JsonResponse;
use Vinculum\Palate\DilutionSeries;
use Vinculum\Sensory\Axis;

/**
 * Teaches a tongue to hear the axes: glasses to mix, two of them at a time, and how fine it has become.
 *
 * @phpstan-type TrainedAxis array{
 *     axis: value-of<Axis>,
 *     stock: array{
 *         ingredient: string,
 *         name: string,
 *         percent: float,
 *         how: string,
 *         solute_grams: float,
 *         water_grams: float,
 *     },
 *     glasses: list<array{steps: float, stock_grams: float, water_grams: float, solute_grams: float}>,
 *     next: float,
 *     trials: int,
 *     reversals: int,
 *     own_step: float|null,
 *     verdict: string|null,
 * }
 * @phpstan-type Trainer array{axes: list<TrainedAxis>}
 */
final readonly class TrainerController
{
    public function __construct(private Pantry $pantry, private PalateService $palateService) {}

    #[Answers('Trainer')]
    public function show(): JsonResponse
    {
        return new JsonResponse(['axes' => array_map($this->axis(...), Axis::cases())]);
    }

    #[Answers('Trainer')]
    public function answer(GuessRequest $request): JsonResponse
    {
        Guess::query()->create([
            'axis' => (string) $request->string('axis'),
            'level' => $request->float('level'),
            'right' => $request->boolean('right'),
        ]);
        $this->palateService->trained();

        return $this->show();
    }

    #[Answers('Trainer')]
    public function reset(string $axis): JsonResponse
    {
        Guess::query()->where('axis', $axis)->delete();
        $this->palateService->trained();

        return $this->show();
    }

    /** @return TrainedAxis */
    private function axis(Axis $axis): array
    {
        $staircase = $this->palateService->staircase($axis);
        $own = $staircase->ownStep();
        $series = DilutionSeries::on($axis, $this->pantry->catalogue());

        return [
            'axis' => $axis->value,
            'stock' => [
                'ingredient' => $series->solute->key,
                'name' => $series->solute->name,
                'percent' => $series->stockPercent,
                'how' => $series->how,
                'solute_grams' => ceil($series->stockGrams * $series->stockPercent / 100.0),
                'water_grams' => round(
                    ceil($series->stockGrams * $series->stockPercent / 100.0) * (100.0 / $series->stockPercent - 1.0),
                ),
            ],
            'glasses' => array_map(
                static fn(array $glass): array => array_map(static fn(float $one): float => round($one, 2), $glass),
                $series->glasses,
            ),
            'next' => $staircase->next,
            'trials' => $staircase->trials,
            'reversals' => count($staircase->reversals),
            'own_step' => $own === null ? null : round($own, 2),
            'verdict' => $staircase->verdict(),
        ];
    }
}
