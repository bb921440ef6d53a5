<?php

declare(strict_types=1);

namespace App\Batches;

use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * What is or was in the pan.
 *
 * @property Batch $resource
 */
final class BatchResource extends JsonResource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $batch = $this->resource;

        return [
            'id' => $batch->id,
            'sauce' => $batch->sauce_id,
            'version' => $batch->version,
            'title' => $batch->title,
            'style' => $batch->style,
            'measures' => $batch->measures->value,
            'pan_grams' => $batch->pan_grams,
            'started_at' => $batch->created_at?->toIso8601String(),
            'closed_at' => $batch->closed_at?->toIso8601String(),
            'is_cooking' => $batch->wish !== null
                && $batch->closed_at === null
                && !($batch->getAttribute('is_finished') ?? $batch->happenings->contains('kind', 'finished')),
            'dose_count' => $batch->relationLoaded('doses')
                ? $batch->doses->count()
                : $batch->getAttribute('doses_count'),
            'tasting_count' => $batch->relationLoaded('tastings')
                ? $batch->tastings->count()
                : $batch->getAttribute('tastings_count'),
            'doses' => $batch->relationLoaded('doses')
                ? $batch->doses->map(
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
                )->all()
                : [],
            'tastings' => $batch->relationLoaded('tastings') ? $batch->tastings->map(self::tasting(...))->all() : [],
        ];
    }

    /** @return array<string, mixed> */
    private static function tasting(Tasting $tasting): array
    {
        return [
            'id' => $tasting->id,
            'at' => $tasting->tasted_at->toIso8601String(),
            'temperature' => $tasting->temperature,
            'food' => $tasting->food,
            'words' => $tasting->words,
            'says' => $tasting->said,
            'scores' => (object) $tasting->scores,
            'axes' => $tasting->balance,
        ];
    }
}
