<?php

declare(strict_types=1);

namespace Vinculum\Correction;

/** A way out that is not an addition: blending with a second batch, starting a part again, or masking. */
final readonly class Alternative
{
    /**
     * @param 'blend'|'start-again'|'mask' $kind
     * @param float|null $grams of the second batch, for a blend
     * @param float|null $distanceAfter steps from the target afterwards, where that can be computed
     */
    public function __construct(
        public string $kind,
        public string $says,
        public ?float $grams,
        public ?float $distanceAfter,
    ) {}
}
