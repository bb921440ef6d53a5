<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Description\Answers;
use App\Http\Faults;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Vinculum\Balance\Balance;
use Vinculum\Cooking\CookFault;
use Vinculum\Cooking\Reduction;
use Vinculum\Cooking\Thickening;
use Vinculum\Report\ReductionReport;
use Vinculum\Report\ThickeningReport;

/**
 * Two ways to a consistency: boil water off, or thicken.
 *
 * @phpstan-type Thickenings array{
 *     boiled: ReductionReport|null,
 *     boiled_not: string|null,
 *     ways: list<ThickeningReport>,
 * }
 */
final readonly class ThicknessController
{
    public function __construct(private BalanceService $balanceService) {}

    #[Answers(ReductionReport::class)]
    public function reduce(ThicknessRequest $request): JsonResponse
    {
        $edit = $request->edit();
        $balance = $this->balanceService->balance($edit);
        $sauce = $balance->mixture;
        [$style, $own] = [$this->balanceService->style($edit)?->target, $this->balanceService->own($edit)];
        $target = $own ?? $style;
        try {
            $plan = match ($request->by()) {
                'weight' => Reduction::toWeight($sauce, $request->value()),
                'thickness' => Reduction::toThickness(
                    $sauce,
                    $request->consistency(),
                    Balance::isEmulsified($balance->formula),
                ),
                'solids' => Reduction::toSolids($sauce, $request->value()),
                'window' => Reduction::intoTheWindow(
                    $sauce,
                    $target ?? throw ValidationException::withMessages([
                        'style' => 'Choose a style first: it says where the window is.',
                    ]),
                ),
                default => Reduction::toVolume($sauce, $request->value()),
            };
        } catch (CookFault $fault) {
            throw Faults::in('value', $fault);
        }

        return new JsonResponse(
            ReductionReport::of(
                $plan,
                $balance->formula,
                $request->pan(),
                $this->balanceService->hob()->heat($request->heat(), $request->pan()),
                $style,
                $own,
            ),
        );
    }

    #[Answers('Thickenings')]
    public function thicken(ThicknessRequest $request): JsonResponse
    {
        $edit = $request->edit();
        $balance = $this->balanceService->balance($edit);
        [$style, $own] = [$this->balanceService->style($edit)?->target, $this->balanceService->own($edit)];
        [$boiled, $why] = [null, null];
        try {
            $ways = Thickening::to(
                $balance->mixture,
                $request->consistency(),
                $this->balanceService->catalogue(),
                Balance::isEmulsified($balance->formula),
            );
        } catch (CookFault $fault) {
            throw Faults::in('consistency', $fault);
        }

        try {
            $boiled = ReductionReport::of(
                Reduction::toThickness(
                    $balance->mixture,
                    $request->consistency(),
                    Balance::isEmulsified($balance->formula),
                ),
                $balance->formula,
                $request->pan(),
                $this->balanceService->hob()->heat($request->heat(), $request->pan()),
                $style,
                $own,
            );
        } catch (CookFault $fault) {
            $why = $fault->getMessage();
        }

        return new JsonResponse([
            'boiled' => $boiled,
            'boiled_not' => $why,
            'ways' => ThickeningReport::all($ways, $edit->measures),
        ]);
    }
}
