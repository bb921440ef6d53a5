<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Ingredient\Ingredient;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/** What is never added for the sake of what else it brings (correcting.ini). */
final readonly class StrongThings
{
    public const FILE = 'correcting';
    public const SECTION = 'strong';

    /**
     * @param list<string> $of ingredient keys
     * @param list<string> $roles
     * @param float $stronger than the sauce by this factor, on some axis, is what seasons it
     */
    public function __construct(public array $of, public array $roles, public float $stronger) {}

    public function have(Ingredient $ingredient): bool
    {
        return in_array($ingredient->kind(), $this->of, true)
            || array_intersect($this->roles, $ingredient->roles) !== [];
    }

    /** Whether a thing is so much stronger than the sauce on an axis that it goes in for, that it seasons it. */
    public function seasons(Ingredient $ingredient, Taste $thing, Taste $sauce): bool
    {
        foreach (Axis::cases() as $axis) {
            // garlic goes in for its smell, whatever else is in it
            $isFor = in_array($axis->role(), $ingredient->roles, true);
            if ($isFor && $thing->on($axis) > $this->stronger * max($sauce->on($axis), $axis->threshold())) {
                return true;
            }
        }

        return false;
    }
}
