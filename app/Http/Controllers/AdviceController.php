<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\AdviceRequest;
use App\Kitchen\Weighing;
use Illuminate\Http\JsonResponse;
use Vinculum\Contract\AdviceShape;
use Vinculum\Correction\Counsel;

final readonly class AdviceController
{
    public function __invoke(AdviceRequest $request, Weighing $weighing): JsonResponse
    {
        $edit = $request->edit();
        $balance = $weighing->balance($edit);
        $advice = Counsel::for($balance, $weighing->style($edit), $request->complaint(), $request->with() ?? $weighing->usualAdditions($edit), $request->most(), $request->capacity(), $weighing->catalogue(), $edit->measures, $request->target() ?? $weighing->targetOf($request->liked()) ?? $weighing->own($edit), $request->wish());

        return new JsonResponse(AdviceShape::of($advice, $balance, $edit->measures));
    }
}
