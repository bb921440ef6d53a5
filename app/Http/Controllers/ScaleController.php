<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Faults;
use App\Http\Requests\ScaleRequest;
use App\Kitchen\Weighing;
use Illuminate\Http\JsonResponse;
use Vinculum\Contract\ScaleShape;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaleFault;

final readonly class ScaleController
{
    public function __invoke(ScaleRequest $request, Weighing $weighing): JsonResponse
    {
        $edit = $request->edit();
        $formula = $weighing->formula($edit);
        $target = $weighing->style($edit)?->target;
        $wish = $request->wish();
        try {
            $wanted = $wish->wanted($formula, $weighing->catalogue(), $edit->measures);
            $scale = Scale::of($formula, $wanted, $edit->measures, $target, $edit->pan, implode(' ', $edit->method), $wish->headSpace, $wish->holdsBack, $weighing->hob());
        } catch (ScaleFault $fault) {
            throw Faults::in('to', $fault);
        }

        return new JsonResponse(ScaleShape::of($scale, $target, $edit->measures));
    }
}
