<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

/** Something that happened at the stove. Nothing is ever rubbed out: what was wrong is undone by a later event. */
final readonly class CookEvent
{
    /** What can happen, and the figures each needs. "measured" may also say that it was not weighed: planned = 1. */
    public const KINDS = [
        'measured' => ['line', 'grams'],
        'rebalanced' => [],
        'step-started' => ['step'],
        'step-done' => ['step'],
        'timer-started' => ['minutes'],
        'timer-stopped' => ['timer'],
        'pan-empty' => ['grams'],
        'pan-reads' => ['grams'],
        'heat-off' => [],
        'temperature' => ['celsius'],
        'ph' => ['ph'],
        'solids' => ['percent'],
        'note' => [],
        'undone' => ['event'],
        'finished' => [],
    ];

    /**
     * @param array<string, float> $figures
     * @param array<int, float>    $grams   by line, for a rebalancing
     * @param float                $at      seconds since the epoch
     * @param string|null          $key     what the page called it before it was stored
     */
    public function __construct(public int $id, public string $kind, public array $figures, public array $grams, public ?string $words, public float $at, public ?string $key = null) {}

    public function figure(string $name): float
    {
        return $this->figures[$name] ?? 0.0;
    }
}
