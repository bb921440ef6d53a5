<?php

declare(strict_types=1);

namespace App\Recipes;

use Vinculum\Cooking\Pan;
use Vinculum\CookSession\CookPlan;
use Vinculum\Recipe\Recipe;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaleFault;
use Vinculum\Scaling\ScaleSetting;

/** A sauce at the size that is asked for, on this kitchen's own hob. */
final readonly class ScaleService
{
    public function __construct(private BalanceService $balanceService) {}

    /** @throws ScaleFault when it cannot be made in that size */
    public function scale(Recipe $edit, RequestedSize $size): Scale
    {
        $formula = $this->balanceService->formula($edit);
        $wanted = $size->wanted($formula, $this->balanceService->catalogue(), $edit->measures);
        $target = $this->balanceService->style($edit)?->target;

        return Scale::of(
            $formula,
            $wanted,
            new ScaleSetting(
                $edit->measures,
                $target,
                $edit->pan,
                implode(' ', $edit->method),
                $size->headSpace,
                $size->holdsBack,
                $this->balanceService->hob(),
            ),
        );
    }

    /** @throws ScaleFault */
    public function plan(Recipe $edit, RequestedSize $size): CookPlan
    {
        return CookPlan::of(
            $this->scale($edit, $size),
            $edit->pan === null ? null : Pan::parse($edit->pan),
            $edit->method,
            $this->balanceService->hob(),
        );
    }
}
