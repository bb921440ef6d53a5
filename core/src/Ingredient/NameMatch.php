<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

/** One answer of the name search: which ingredient, by which of its names, and how well that fits (0 to 1). */
final readonly class NameMatch
{
    public function __construct(public string $key, public string $alias, public float $score) {}
}
