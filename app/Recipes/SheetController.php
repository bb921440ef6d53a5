<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Vinculum\CookSession\CookSheet;
use Vinculum\Report\CookSheetReport;

/** The cook's sheet on paper, as written or at another size. */
final readonly class SheetController
{
    #[Answers(CookSheetReport::class)]
    public function __invoke(ScaleRequest $request, HomeKitchen $homeKitchen): JsonResponse
    {
        $sauce = $homeKitchen->weigh($request->edit());
        $scale = $request->asksForASize() ? $request->scale($sauce) : null;

        return new JsonResponse(CookSheetReport::of(CookSheet::of($sauce, $scale, $sauce->kitchen->hasScale)));
    }
}
