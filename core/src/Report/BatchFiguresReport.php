<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Volume;

/** What the whole comes to: grams, millilitres, g/ml, per cent of its mass. */
final readonly class BatchFiguresReport extends Report
{
    private function __construct(
        public float $grams,
        public float $millilitres,
        public ?float $density,
        public float $waterPercent,
        public float $dissolvedSolidsPercent,
        public float $fatPercent,
        public float $alcoholPercent,
    ) {}

    public static function of(Balance $balance): self
    {
        $mixture = $balance->mixture;

        return new self(
            $mixture->grams(),
            Volume::millilitres($mixture),
            Volume::density($mixture),
            $mixture->percent(Component::Water),
            $balance->figures->dissolvedSolids->value,
            $mixture->percent(Component::Fat),
            $mixture->percent(Component::Ethanol),
        );
    }
}
