<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ScaleRequest;
use App\Kitchen\Weighing;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Vinculum\Balance\Formula;
use Vinculum\Contract\ScaleShape;
use Vinculum\Quantity\Measures;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaleFault;
use Vinculum\Scaling\Wanted;

final readonly class ScaleController
{
    public function __invoke(ScaleRequest $request, Weighing $weighing): JsonResponse
    {
        $edit = $request->edit();
        $formula = $weighing->formula($edit);
        $target = $weighing->style($edit)?->target;
        $headSpace = $request->share('head_space', Wanted::HEAD_SPACE);
        try {
            $wanted = self::wanted($request, $formula, $weighing, $edit->measures, $headSpace);
            $scale = Scale::of($formula, $wanted, $edit->measures, $target, $request->text('pan'), '', $headSpace, $request->boolean('hold_back'));
        } catch (ScaleFault $fault) {
            throw ValidationException::withMessages(['to' => ucfirst(rtrim($fault->getMessage(), '.')) . '.']);
        }

        return new JsonResponse(ScaleShape::of($scale, $target, $edit->measures));
    }

    /** @throws ScaleFault */
    private static function wanted(ScaleRequest $request, Formula $formula, Weighing $weighing, Measures $measures, float $headSpace): Wanted
    {
        return match (true) {
            $request->text('to') !== null => Wanted::amount((string) $request->text('to'), $formula, $measures, $headSpace, $request->share('loss', 0.0)),
            $request->text('have') !== null => Wanted::have((string) $request->text('have'), $formula, $weighing->catalogue(), $measures),
            $request->text('serves') !== null => Wanted::portions((string) $request->text('serves'), $request->text('portion') ?? '', $formula, $measures),
            default => Wanted::factor($request->text('factor') ?? ''),
        };
    }
}
