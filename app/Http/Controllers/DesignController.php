<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Faults;
use App\Http\Requests\DesignRequest;
use App\Kitchen\Weighing;
use Illuminate\Http\JsonResponse;
use Vinculum\Contract\AdviceShape;
use Vinculum\Correction\Drafting;

final readonly class DesignController
{
    public function __invoke(DesignRequest $request, Weighing $weighing): JsonResponse
    {
        $edit = $request->edit();
        $style = $weighing->style($edit);
        assert($style !== null);
        try {
            $formula = $weighing->formula($edit);
            $design = $request->boolean('may_grow')
                ? Drafting::withRoom($formula, $style, $request->batchGrams(), $weighing->catalogue(), $edit->measures, $weighing->own($edit))
                : Drafting::draft($formula, $style, $request->base(), $request->batchGrams(), $weighing->catalogue(), $edit->measures, $weighing->own($edit));
        } catch (\InvalidArgumentException $fault) {
            throw Faults::in('lines', $fault);
        }

        return new JsonResponse(AdviceShape::design($design, $formula, $edit->measures));
    }
}
