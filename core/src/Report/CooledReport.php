<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Cooking\Cooling;
use Vinculum\CookSession\CookRecord;

/** How far a pot has cooled, by the rule that it is held to. */
final readonly class CooledReport extends Report
{
    private function __construct(
        public ?CoolingReport $cooling,
        public string $coolingRule,
    ) {}

    public static function of(CookRecord $record, float $now): self
    {
        $cooling = $record->readings->cooling($now);

        return new self($cooling === null ? null : CoolingReport::of($cooling), Cooling::rule());
    }
}
