<?php

declare(strict_types=1);

namespace App\Batches;

use App\Database\Stored;
use App\Palate\Tasting;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Vinculum\Quantity\Measures;
use Vinculum\Report\AxisReport;
use Vinculum\Report\Named;
use Vinculum\Sensory\Axis;

/**
 * What is or was in the pan.
 *
 * @property Batch $resource
 *
 * @phpstan-type Said array{complaint: string, strength: string}
 * @phpstan-type DoseGiven array{
 *     id: int,
 *     why: string,
 *     at: string|null,
 *     additions: list<array{ingredient: string, name: string, grams: float, measure: string}>,
 * }
 * @phpstan-type TastingKept array{
 *     id: int,
 *     at: string,
 *     temperature: string|null,
 *     food: string|null,
 *     words: string|null,
 *     says: list<Said>,
 *     scores: Named<float>,
 *     axes: Stored<array<value-of<Axis>, AxisReport>>,
 * }
 * @phpstan-type BatchSummary array{
 *     id: int,
 *     sauce: int,
 *     version: int,
 *     title: string,
 *     style: string|null,
 *     measures: value-of<Measures>,
 *     pan_grams: float|null,
 *     started_at: string|null,
 *     closed_at: string|null,
 *     is_cooking: bool,
 *     dose_count: int,
 *     tasting_count: int,
 *     doses: list<DoseGiven>,
 *     tastings: list<TastingKept>,
 * }
 */
final class BatchResource extends JsonResource
{
    /** @return BatchSummary */
    public function toArray(Request $request): array
    {
        $batch = $this->resource;

        return [
            'id' => $batch->id,
            'sauce' => $batch->sauce_id,
            'version' => $batch->version,
            'title' => $batch->recipe->title,
            'style' => $batch->recipe->style,
            'measures' => $batch->recipe->measures->value,
            'pan_grams' => $batch->pan_grams,
            'started_at' => $batch->created_at?->toIso8601String(),
            'closed_at' => $batch->closed_at?->toIso8601String(),
            'is_cooking' => $batch->wish !== null
                && $batch->closed_at === null
                && !($batch->getAttribute('is_finished') ?? $batch->happenings->contains('kind', 'finished')),
            'dose_count' => $batch->relationLoaded('doses')
                ? $batch->doses->count()
                : (int) $batch->doses_count,
            'tasting_count' => $batch->relationLoaded('tastings')
                ? $batch->tastings->count()
                : (int) $batch->tastings_count,
            'doses' => $batch->relationLoaded('doses')
                ? array_values($batch->doses->map(
                    static fn(Dose $dose): array => [
                        'id' => $dose->id,
                        'why' => $dose->why,
                        'at' => $dose->created_at?->toIso8601String(),
                        'additions' => array_map(
                            static fn(array $one): array => [
                                'ingredient' => $one['ingredient'],
                                'name' => $one['name'],
                                'grams' => $one['grams'],
                                'measure' => $one['measure'],
                            ],
                            $dose->additions,
                        ),
                    ],
                )->all())
                : [],
            'tastings' => $batch->relationLoaded('tastings')
                ? array_map(self::tasting(...), array_values($batch->tastings->all()))
                : [],
        ];
    }

    /** @return TastingKept */
    private static function tasting(Tasting $tasting): array
    {
        return [
            'id' => $tasting->id,
            'at' => $tasting->tasted_at->toIso8601String(),
            'temperature' => $tasting->temperature,
            'food' => $tasting->food,
            'words' => $tasting->words,
            'says' => $tasting->said,
            'scores' => new Named($tasting->scores),
            'axes' => new Stored($tasting->balance),
        ];
    }
}
