<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use Illuminate\Http\JsonResponse;
use Vinculum\Report\BalanceReport;

final readonly class BalanceController
{
    #[Answers(BalanceReport::class)]
    public function __invoke(FormulaRequest $request, HomeKitchen $homeKitchen): JsonResponse
    {
        return new JsonResponse(BalanceReport::of($homeKitchen->weigh($request->edit())));
    }
}
