<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ThicknessRequest;
use App\Kitchen\Weighing;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Vinculum\Contract\ThicknessShape;
use Vinculum\Cooking\CookFault;
use Vinculum\Cooking\Reduction;
use Vinculum\Cooking\Thickening;

/** Two ways to a consistency: boil water off, or thicken. */
final readonly class ThicknessController
{
    public function __construct(private Weighing $weighing) {}

    public function reduce(ThicknessRequest $request): JsonResponse
    {
        $edit = $request->edit();
        $balance = $this->weighing->balance($edit);
        $sauce = $balance->mixture;
        [$style, $own] = [$this->weighing->style($edit)?->target, $this->weighing->own($edit)];
        $target = $own ?? $style;
        try {
            $plan = match ($request->by()) {
                'weight' => Reduction::toWeight($sauce, $request->value()),
                'solids' => Reduction::toSolids($sauce, $request->value()),
                'window' => Reduction::intoTheWindow($sauce, $target ?? throw ValidationException::withMessages(['style' => 'Choose a style first: it says where the window is.'])),
                default => Reduction::toVolume($sauce, $request->value()),
            };
        } catch (CookFault $fault) {
            throw ValidationException::withMessages(['value' => $fault->getMessage()]);
        }

        return new JsonResponse(ThicknessShape::reduction($plan, $balance->formula, $request->pan(), $request->heat(), $style, $own));
    }

    public function thicken(ThicknessRequest $request): JsonResponse
    {
        $edit = $request->edit();
        try {
            $ways = Thickening::to($this->weighing->balance($edit)->mixture, $request->consistency(), $this->weighing->catalogue());
        } catch (CookFault $fault) {
            throw ValidationException::withMessages(['consistency' => $fault->getMessage()]);
        }

        return new JsonResponse(['ways' => array_map(static fn(Thickening $way): array => ThicknessShape::thickening($way, $edit->measures), $ways)]);
    }
}
