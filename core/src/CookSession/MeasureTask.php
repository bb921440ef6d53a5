<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Ingredient\Texture;

/** One thing to measure out: which line of the formula, for which stage, how much. */
final readonly class MeasureTask
{
    public function __construct(public int $line, public int $stage, public string $name, public float $grams, public string $measure, public ?Texture $texture, public ?string $note = null) {}
}
