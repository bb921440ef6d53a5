<?php

declare(strict_types=1);

namespace App\Kitchen;

use Vinculum\Quantity\Measures;

/** What a person has written of a sauce. */
final readonly class SauceEdit
{
    /** @param list<string> $lines */
    public function __construct(
        public string $title,
        public ?string $style,
        public Measures $measures,
        public ?string $yield,
        public array $lines,
    ) {}
}
