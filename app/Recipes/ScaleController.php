<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use App\Http\Faults;
use Illuminate\Http\JsonResponse;
use Vinculum\Report\ScaleReport;
use Vinculum\Scaling\ScaleFault;

final readonly class ScaleController
{
    #[Answers(ScaleReport::class)]
    public function __invoke(
        ScaleRequest $request,
        ScaleService $scaleService,
        HomeKitchen $homeKitchen,
    ): JsonResponse {
        $sauce = $homeKitchen->weigh($request->edit());
        try {
            $scale = $scaleService->scale($sauce, $request->wish());
        } catch (ScaleFault $fault) {
            throw Faults::in('to', $fault);
        }

        return new JsonResponse(ScaleReport::of($scale, $sauce));
    }
}
