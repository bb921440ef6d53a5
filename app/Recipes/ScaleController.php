<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Faults;
use Illuminate\Http\JsonResponse;
use Vinculum\Report\ScaleReport;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaleFault;

final readonly class ScaleController
{
    public function __invoke(ScaleRequest $request, BalanceService $balanceService): JsonResponse
    {
        $edit = $request->edit();
        $formula = $balanceService->formula($edit);
        $target = $balanceService->style($edit)?->target;
        $wish = $request->wish();
        try {
            $wanted = $wish->wanted($formula, $balanceService->catalogue(), $edit->measures);
            $scale = Scale::of($formula, $wanted, $edit->measures, $target, $edit->pan, implode(' ', $edit->method), $wish->headSpace, $wish->holdsBack, $balanceService->hob());
        } catch (ScaleFault $fault) {
            throw Faults::in('to', $fault);
        }

        return new JsonResponse(ScaleReport::of($scale, $target, $edit->measures));
    }
}
