<?php

declare(strict_types=1);

namespace Vinculum\Scaling;

/** How a recipe is made at another size. */
final readonly class ScaleSetting
{
    /**
     * @param float $headSpace the share of a jar that stays empty
     * @param bool $holdsBack whether strong things start at a share of themselves when a recipe grows
     */
    public function __construct(
        public float $headSpace = TargetSize::HEAD_SPACE,
        public bool $holdsBack = false,
    ) {}
}
