<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Report\SpoonfulReport;

/**
 * What a spoonful of everything in the pantry does to one sauce; of nothing where nothing of the sauce counts.
 *
 * @phpstan-type Spoonfuls array{spoonfuls: list<SpoonfulReport>}
 */
final readonly class SpoonfulController
{
    public function __construct(private HomeKitchen $homeKitchen) {}

    #[Answers('Spoonfuls')]
    public function index(int $sauce): JsonResponse
    {
        $recipe = Sauce::query()->findOrFail($sauce)->recipe;
        $load = $this->homeKitchen->balance($recipe)->load();

        $spoons = $this->homeKitchen->kitchen()->spoons($recipe->measures);

        return new JsonResponse([
            'spoonfuls' => $load->grams <= 0.0 ? [] : array_map(
                static fn(Ingredient $one): SpoonfulReport => SpoonfulReport::of($one, $load, $spoons),
                $this->homeKitchen->catalogue()->all(),
            ),
        ]);
    }
}
