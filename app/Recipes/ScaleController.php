<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Vinculum\Report\ScaleReport;

final readonly class ScaleController
{
    #[Answers(ScaleReport::class)]
    public function __invoke(ScaleRequest $request, HomeKitchen $homeKitchen): JsonResponse
    {
        $sauce = $homeKitchen->weigh($request->edit());

        return new JsonResponse(ScaleReport::of($request->scale($sauce), $sauce));
    }
}
