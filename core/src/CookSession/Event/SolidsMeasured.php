<?php

declare(strict_types=1);

namespace Vinculum\CookSession\Event;

use Vinculum\CookSession\CookEvent;

/** What is dissolved was measured. */
final readonly class SolidsMeasured extends CookEvent
{
    public const KIND = 'solids';
    public const NEEDS = ['percent'];

    public function __construct(int $id, float $at, public float $percent, ?string $words = null, ?string $key = null)
    {
        parent::__construct($id, $at, $words, $key);
    }

    public static function read(int $id, float $at, array $figures, array $grams, ?string $words, ?string $key): static
    {
        return new self($id, $at, $figures['percent'], $words, $key);
    }

    public function figures(): array
    {
        return ['percent' => $this->percent];
    }

    public function says(array $lines): string
    {
        return sprintf('%.1f %% dissolved measured', $this->percent);
    }
}
