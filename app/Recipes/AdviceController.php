<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Description\Answers;
use Illuminate\Http\JsonResponse;
use Vinculum\Correction\CorrectionSetup;
use Vinculum\Report\AdviceReport;

final readonly class AdviceController
{
    #[Answers(AdviceReport::class)]
    public function __invoke(AdviceRequest $request, BalanceService $balanceService): JsonResponse
    {
        $edit = $request->edit();
        $balance = $balanceService->balance($edit);
        $with = $request->with();
        $advice = CorrectionSetup::for(
            $balance,
            $balanceService->style($edit),
            $request->complaint(),
            $with === null
                ? $balanceService->usualAdditions($edit, $balance)
                : CorrectionSetup::named($with, $balanceService->catalogue()),
            $request->most(),
            $request->capacity(),
            $balanceService->catalogue(),
            $edit->measures,
            $request->target() ?? $balanceService->targetOf($request->liked()) ?? $balanceService->own($edit),
            $request->wish(),
        );

        return new JsonResponse(AdviceReport::of($advice, $balance, $edit->measures));
    }
}
