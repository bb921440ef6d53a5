<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\CookSession\Event\Measured;
use Vinculum\CookSession\Event\PanEmptyWeighed;
use Vinculum\CookSession\Event\PanRead;
use Vinculum\CookSession\Event\Rebalanced;

/** What was put on the scale in a cook: what went in, and the pan. */
final readonly class CookWeighings
{
    /**
     * @param array<int, float> $actual grams that went in, by line
     * @param array<int, bool> $asPlanned lines that went in without being weighed, as they were planned
     * @param array<int, float> $changed grams to take instead of those planned, by line, after rebalancing
     * @param bool $isSettled nothing was poured since the last rebalancing
     * @param float|null $panEmpty grams of the empty pan
     * @param float|null $panReads grams of the pan and what is in it, at the end
     */
    private function __construct(
        public array $actual,
        public array $asPlanned,
        public array $changed,
        public bool $isSettled,
        public ?float $panEmpty,
        public ?float $panReads,
    ) {}

    /** @param list<CookEvent> $events those that stand, in order */
    public static function of(array $events): self
    {
        [$actual, $asPlanned, $changed, $isSettled, $panEmpty, $panReads] = [[], [], [], true, null, null];
        foreach ($events as $event) {
            match (true) {
                $event instanceof Measured => [
                    $actual[$event->line],
                    $asPlanned[$event->line],
                    $isSettled,
                ] = [$event->grams, $event->isPlanned, false],
                $event instanceof Rebalanced => [$changed, $isSettled] = [array_replace($changed, $event->grams), true],
                $event instanceof PanEmptyWeighed => $panEmpty = $event->grams,
                $event instanceof PanRead => $panReads = $event->grams,
                default => null,
            };
        }

        return new self($actual, array_filter($asPlanned), $changed, $isSettled, $panEmpty, $panReads);
    }

    /** Grams of a line as it went in, or as it is to go in by now; null where it is as it was planned. */
    public function grams(int $line): ?float
    {
        return $this->actual[$line] ?? $this->changed[$line] ?? null;
    }

    /** Whether what went in of a line was on the scale. */
    public function wasWeighed(int $line): bool
    {
        return isset($this->actual[$line]) && !isset($this->asPlanned[$line]);
    }

    /**
     * Grams of the sauce alone, as weighed at the end; null while it was not, or where the pan is heavier than both.
     */
    public function sauceGrams(): ?float
    {
        $grams = $this->panReads === null ? null : $this->panReads - ($this->panEmpty ?? 0.0);

        return $grams !== null && $grams > 0.0 ? $grams : null;
    }
}
