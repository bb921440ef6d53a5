<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Http\JsonResponse;

final readonly class BalanceController
{
    public function __invoke(FormulaRequest $request, BalanceService $balanceService): JsonResponse
    {
        return new JsonResponse($balanceService->report($request->edit()));
    }
}
