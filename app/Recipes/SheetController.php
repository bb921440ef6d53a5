<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use App\Http\Faults;
use Illuminate\Http\JsonResponse;
use Vinculum\CookSession\CookSheet;
use Vinculum\Report\CookSheetReport;
use Vinculum\Scaling\ScaleFault;

/** The cook's sheet on paper, as written or at another size. */
final readonly class SheetController
{
    #[Answers(CookSheetReport::class)]
    public function __invoke(
        ScaleRequest $request,
        ScaleService $scaleService,
        HomeKitchen $homeKitchen,
    ): JsonResponse {
        $sauce = $homeKitchen->weigh($request->edit());
        try {
            $scale = $request->asksForASize() ? $scaleService->scale($sauce, $request->wish()) : null;
        } catch (ScaleFault $fault) {
            throw Faults::in('to', $fault);
        }

        return new JsonResponse(CookSheetReport::of(CookSheet::of($sauce, $scale, $sauce->kitchen->hasScale)));
    }
}
