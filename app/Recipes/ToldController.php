<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Vinculum\Recipe\Telling\Passage;
use Vinculum\Report\PassageReport;

/**
 * What was told, beside the sauce that was written down from it.
 *
 * @phpstan-type Told array{passages: list<PassageReport>}
 */
final readonly class ToldController
{
    #[Answers('Told')]
    public function __invoke(int $sauce, HomeKitchen $homeKitchen): JsonResponse
    {
        $told = Sauce::query()->findOrFail($sauce)->told ?? '';

        return new JsonResponse(['passages' => array_map(
            PassageReport::of(...),
            Passage::of($told, $homeKitchen->kitchen()->catalogue),
        )]);
    }
}
