<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\CookSession\SheetItem;

/** A thing as a cook measures it: its line from 1, in the cook's own words, grams, and the share of the line that goes in here. */
final readonly class SheetItemReport extends Report
{
    private function __construct(
        public int $line,
        public ?string $ingredient,
        public string $text,
        public string $says,
        public string $measure,
        public ?float $grams,
        public float $share,
    ) {}

    public static function of(SheetItem $item): self
    {
        return new self(
            $item->line + 1,
            $item->ingredient,
            $item->text,
            $item->says,
            $item->measure,
            $item->grams,
            $item->share,
        );
    }
}
