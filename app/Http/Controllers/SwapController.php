<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Faults;
use App\Http\Requests\SwapRequest;
use App\Kitchen\Pantry;
use App\Kitchen\Weighing;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Vinculum\Contract\SwapShape;
use Vinculum\Substitution\Conversion;
use Vinculum\Substitution\SwapFault;
use Vinculum\Substitution\SwapSearch;

final readonly class SwapController
{
    public function __construct(private Weighing $weighing, private Pantry $pantry) {}

    public function line(SwapRequest $request): JsonResponse
    {
        $edit = $request->edit();
        $formula = $this->weighing->formula($edit);
        $catalogue = $this->weighing->catalogue();
        $named = $request->substitute();
        if ($named !== null && !$catalogue->has($named)) {
            throw ValidationException::withMessages(['for' => "There is no ingredient \"{$named}\"."]);
        }
        try {
            $search = new SwapSearch($formula, $request->line(), $request->reason($this->pantry), $catalogue, $edit->measures);
        } catch (SwapFault $fault) {
            throw Faults::in('line', $fault);
        }
        $swaps = $named === null ? $search->substitutes() : array_values(array_filter([$search->with($catalogue->get($named))]));

        return new JsonResponse(SwapShape::of($formula, $request->line(), $swaps, $this->weighing->style($edit)?->target, $edit->measures));
    }

    public function whole(SwapRequest $request): JsonResponse
    {
        $edit = $request->edit();
        $formula = $this->weighing->formula($edit);
        try {
            $conversion = Conversion::of($formula, $request->avoids(), $this->weighing->catalogue(), $edit->measures);
        } catch (SwapFault $fault) {
            throw Faults::in('lines', $fault);
        }

        return new JsonResponse(SwapShape::conversion($formula, $conversion, $this->weighing->style($edit)?->target, $edit->measures));
    }
}
