<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Description\Answers;
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
        BalanceService $balanceService,
    ): JsonResponse {
        $edit = $request->edit();
        try {
            $scale = $scaleService->scale($edit, $request->wish());
        } catch (ScaleFault $fault) {
            throw Faults::in('to', $fault);
        }

        return new JsonResponse(ScaleReport::of($scale, $balanceService->style($edit)?->target, $edit->measures));
    }
}
