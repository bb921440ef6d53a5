<?php

declare(strict_types=1);

namespace Vinculum\Scaling;

use Vinculum\Cooking\Heat;
use Vinculum\Cooking\Hob;
use Vinculum\Cooking\Pan;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Target;

/** Where and how a recipe is made at another size. */
final readonly class ScaleSetting
{
    /**
     * @param string|null $pan       as the recipe names it
     * @param string      $method    what is done with it, for the heat
     * @param float       $headSpace the share of a jar that stays empty
     * @param bool        $holdsBack whether strong things start at a share of themselves when a recipe grows
     */
    public function __construct(
        public Measures $measures,
        public ?Target $target = null,
        public ?string $pan = null,
        private string $method = '',
        public float $headSpace = TargetSize::HEAD_SPACE,
        public bool $holdsBack = false,
        private ?Hob $hob = null,
    ) {}

    public function vessel(): ?Pan
    {
        return $this->pan === null ? null : Pan::parse($this->pan);
    }

    /** The heat that the method names, on this hob and under this pan. */
    public function heat(): Heat
    {
        return ($this->hob ?? Hob::unknown())->heat(Heat::inWords($this->method), $this->vessel());
    }
}
