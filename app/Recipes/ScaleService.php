<?php

declare(strict_types=1);

namespace App\Recipes;

use Vinculum\CookSession\CookPlan;
use Vinculum\Kitchen\Sauce as WeighedSauce;
use Vinculum\Recipe\Recipe;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaleFault;
use Vinculum\Scaling\ScaleSetting;

/** A sauce at the size that is asked for, on this kitchen's own hob. */
final readonly class ScaleService
{
    public function __construct(private HomeKitchen $homeKitchen) {}

    /** @throws ScaleFault when it cannot be made in that size */
    public function scale(WeighedSauce $sauce, RequestedSize $size): Scale
    {
        return Scale::of(
            $sauce,
            $size->wanted($sauce->formula, $sauce->catalogue(), $sauce->measures()),
            new ScaleSetting($size->headSpace, $size->holdsBack),
        );
    }

    /** @throws ScaleFault */
    public function plan(Recipe $edit, RequestedSize $size): CookPlan
    {
        $sauce = $this->homeKitchen->weigh($edit);

        return CookPlan::of($this->scale($sauce, $size), $sauce);
    }
}
