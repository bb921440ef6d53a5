<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

/** What a label states, turned into what is reckoned with (labels.ini). */
final readonly class LabelFacts
{
    public const FILE = 'labels';
    public const SECTION = 'salt';

    /** @param float $fromSodium grams of salt for each gram of sodium */
    public function __construct(public float $fromSodium) {}
}
