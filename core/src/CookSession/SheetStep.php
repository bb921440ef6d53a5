<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Cooking\MethodStep;
use Vinculum\Keeping\Caution;

/** One step of a cook's sheet: the sentence as it was written, and what it needs. */
final readonly class SheetStep
{
    public const IN_THE_HEAT = 'heat';
    public const OFF_THE_HEAT = 'off-heat';
    public const COLD = 'cold';

    /**
     * @param list<SheetItem> $uses
     * @param list<int> $takenOut lines that come out again, from 0
     * @param float|null $lookFrom minutes from which to look whether it is there
     * @param 'heat'|'off-heat'|'cold' $after the state of the pot while it goes in
     * @param list<Caution> $cautions each said once, where it is first called for
     * @param string|null $meanwhile what can be done while it cooks or waits
     */
    public function __construct(
        public MethodStep $step,
        public array $uses,
        public array $takenOut,
        public ?float $lookFrom,
        public string $after,
        public array $cautions,
        public ?string $meanwhile,
    ) {}
}
