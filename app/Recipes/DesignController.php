<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use App\Http\Faults;
use Illuminate\Http\JsonResponse;
use Vinculum\Drafting\Drafter;
use Vinculum\Report\DesignReport;

final readonly class DesignController
{
    #[Answers(DesignReport::class)]
    public function __invoke(DesignRequest $request, HomeKitchen $homeKitchen): JsonResponse
    {
        $sauce = $homeKitchen->weigh($request->edit());
        try {
            $design = (new Drafter($sauce))->draft(
                $request->batchGrams(),
                $request->base(),
                $request->boolean('may_grow'),
                $request->atHand($sauce),
            );
        } catch (\InvalidArgumentException $fault) {
            throw Faults::in('lines', $fault);
        }

        return new JsonResponse(DesignReport::of($design, $sauce->formula, $sauce->measures()));
    }
}
