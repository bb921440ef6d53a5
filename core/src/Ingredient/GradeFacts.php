<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

/** One relative standard deviation of a figure, by its grade (grades.ini). */
final readonly class GradeFacts
{
    public const FILE = 'grades';
    public const SECTION = 'deviation';

    public function __construct(
        public float $gradeA,
        public float $gradeB,
        public float $gradeC,
        public float $gradeD,
    ) {}
}
