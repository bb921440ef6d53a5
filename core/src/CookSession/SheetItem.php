<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

/** One thing on a cook's sheet: which line, in the cook's words, and how much of it goes in here. */
final readonly class SheetItem
{
    /**
     * @param int $line from 0
     * @param string|null $ingredient key
     * @param string $text as the cook wrote it
     * @param string $measure what to measure out
     * @param float|null $grams that go in here
     * @param float $share of the line; 0 where it is only worked on
     * @param string $says amount and thing in one: "half of 100 ml vinegar", "3¼ cups passata"
     */
    public function __construct(
        public int $line,
        public ?string $ingredient,
        public string $text,
        public string $measure,
        public ?float $grams,
        public float $share,
        public string $says,
    ) {}
}
