<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use App\Http\Faults;
use Illuminate\Http\JsonResponse;
use Vinculum\Correction\Designer;
use Vinculum\Report\DesignReport;

final readonly class DesignController
{
    #[Answers(DesignReport::class)]
    public function __invoke(DesignRequest $request, HomeKitchen $homeKitchen): JsonResponse
    {
        $sauce = $homeKitchen->weigh($request->edit());
        try {
            $designer = new Designer($sauce);
            $design = $request->boolean('may_grow')
                ? $designer->withRoom($request->batchGrams())
                : $designer->draft($request->batchGrams(), $request->base());
        } catch (\InvalidArgumentException $fault) {
            throw Faults::in('lines', $fault);
        }

        return new JsonResponse(DesignReport::of($design, $sauce->formula, $sauce->measures()));
    }
}
