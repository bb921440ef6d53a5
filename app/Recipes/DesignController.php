<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Description\Answers;
use App\Http\Faults;
use Illuminate\Http\JsonResponse;
use Vinculum\Correction\DesignSetup;
use Vinculum\Report\DesignReport;

final readonly class DesignController
{
    #[Answers(DesignReport::class)]
    public function __invoke(DesignRequest $request, BalanceService $balanceService): JsonResponse
    {
        $edit = $request->edit();
        $style = $balanceService->style($edit);
        assert($style !== null);
        try {
            $formula = $balanceService->formula($edit);
            $design = $request->boolean('may_grow')
                ? DesignSetup::withRoom(
                    $formula,
                    $style,
                    $request->batchGrams(),
                    $balanceService->catalogue(),
                    $edit->measures,
                    $balanceService->own($edit),
                )
                : DesignSetup::draft(
                    $formula,
                    $style,
                    $request->base(),
                    $request->batchGrams(),
                    $balanceService->catalogue(),
                    $edit->measures,
                    $balanceService->own($edit),
                );
        } catch (\InvalidArgumentException $fault) {
            throw Faults::in('lines', $fault);
        }

        return new JsonResponse(DesignReport::of($design, $formula, $edit->measures));
    }
}
