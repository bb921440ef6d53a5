<?php

declare(strict_types=1);

namespace Vinculum\Kitchen;

use Vinculum\Family\Family;
use Vinculum\Sensory\Target;

/** What is known of the cook's own tongue. */
interface Liking
{
    /** The family's target moved to where this cook likes it; null while nothing is learned of that. */
    public function target(Family $family): ?Target;

    /** @return list<AnsweredTaste> what was made of the answers to tastes of a family, as far as it counts */
    public function answers(Family $family): array;

    /** @return array<string, float> steps that this cook can tell apart, by axis, as far as that was trained */
    public function ownSteps(): array;
}
