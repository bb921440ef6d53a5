<?php

declare(strict_types=1);

namespace Vinculum\Palate;

/** The glasses of the trainer: grams in each, and the steps that a fine and a coarse tongue tells (trainer.ini). */
final readonly class TrainerFacts
{
    public const FILE = 'trainer';
    public const SECTION = 'all';

    public function __construct(public float $grams, public float $fine, public float $coarse) {}
}
