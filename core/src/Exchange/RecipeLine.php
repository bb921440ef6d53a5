<?php

declare(strict_types=1);

namespace Vinculum\Exchange;

/** An ingredient line and the heading it stands under. */
final readonly class RecipeLine
{
    public function __construct(public string $text, public ?string $stage = null) {}
}
