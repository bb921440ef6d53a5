<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Recipe\Resolution\ResolvedLine;

/** What a line was taken for, and how surely. */
final readonly class TakenForReport extends Report
{
    /**
     * @param string|null $ingredient key in the catalogue
     * @param list<string> $alternatives keys that it might also be
     */
    private function __construct(
        public ?string $ingredient,
        public ?string $name,
        public ?string $sure,
        public ?string $note,
        public array $alternatives,
    ) {}

    public static function of(ResolvedLine $line): self
    {
        return new self(
            ingredient: $line->ingredient?->key,
            name: $line->ingredient?->name,
            sure: $line->sure?->value,
            note: $line->note,
            alternatives: $line->alternatives,
        );
    }
}
