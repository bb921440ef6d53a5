<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\FormulaRequest;
use App\Kitchen\Weighing;
use Illuminate\Http\JsonResponse;

final readonly class BalanceController
{
    public function __invoke(FormulaRequest $request, Weighing $weighing): JsonResponse
    {
        return new JsonResponse($weighing->report($request->edit()));
    }
}
