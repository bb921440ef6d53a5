<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Family\Family;
use Vinculum\Family\PlainReference;

/** How a family's plain sauce looks and tastes, and what it is eaten with. */
final readonly class TypicalReport extends Report
{
    /**
     * @param string $group of families, by what they are made of
     * @param string|null $colour as "#a0522d", about
     * @param list<string> $titled what else it is called
     * @param float $sour g of acid in 100 g
     * @param float $sweet g of sugar as sucrose in 100 g
     */
    private function __construct(
        public string $group,
        public string $goesWith,
        public string $title,
        public array $titled,
        public ?string $colour,
        public float $sour,
        public float $sweet,
    ) {}

    public static function of(Family $family): self
    {
        $plain = PlainReference::of($family->key);

        return new self(
            $family->usage->group,
            $family->usage->goesWith,
            $family->usage->plain,
            $family->titled,
            $plain->colour,
            $plain->sour,
            $plain->sweet,
        );
    }
}
