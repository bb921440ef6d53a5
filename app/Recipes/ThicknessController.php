<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
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
    public function __construct(private HomeKitchen $homeKitchen) {}

    #[Answers(ReductionReport::class)]
    public function reduce(ThicknessRequest $request): JsonResponse
    {
        $sauce = $this->homeKitchen->weigh($request->edit());
        $mixture = $sauce->balance()->mixture;
        try {
            $plan = match ($request->by()) {
                'weight' => Reduction::toWeight($mixture, $request->value()),
                'thickness' => Reduction::toThickness(
                    $mixture,
                    $request->consistency(),
                    Balance::isEmulsified($sauce->formula),
                ),
                'solids' => Reduction::toSolids($mixture, $request->value()),
                'window' => Reduction::intoTheWindow(
                    $mixture,
                    $sauce->aim->target() ?? throw ValidationException::withMessages([
                        'style' => 'Choose a family first: it says where the window is.',
                    ]),
                ),
                default => Reduction::toVolume($mixture, $request->value()),
            };
        } catch (CookFault $fault) {
            throw Faults::in('value', $fault);
        }

        return new JsonResponse(
            ReductionReport::of(
                $plan,
                $sauce,
                $request->pan(),
                $sauce->kitchen->hob->heat($request->heat(), $request->pan()),
            ),
        );
    }

    #[Answers('Thickenings')]
    public function thicken(ThicknessRequest $request): JsonResponse
    {
        $sauce = $this->homeKitchen->weigh($request->edit());
        [$mixture, $isEmulsified] = [$sauce->balance()->mixture, Balance::isEmulsified($sauce->formula)];
        [$boiled, $why] = [null, null];
        try {
            $ways = Thickening::to(
                $mixture,
                $request->consistency(),
                $sauce->catalogue(),
                $isEmulsified,
            );
        } catch (CookFault $fault) {
            throw Faults::in('consistency', $fault);
        }

        try {
            $boiled = ReductionReport::of(
                Reduction::toThickness(
                    $mixture,
                    $request->consistency(),
                    $isEmulsified,
                ),
                $sauce,
                $request->pan(),
                $sauce->kitchen->hob->heat($request->heat(), $request->pan()),
            );
        } catch (CookFault $fault) {
            $why = $fault->getMessage();
        }

        return new JsonResponse([
            'boiled' => $boiled,
            'boiled_not' => $why,
            'ways' => ThickeningReport::all($ways, $sauce->spoons()),
        ]);
    }
}
