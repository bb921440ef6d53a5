<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

/** A warning that applies to a sauce, with where it comes from. */
final readonly class Caution
{
    /** @param 'info'|'warn'|'stop' $severity */
    public function __construct(public string $code, public string $severity, public string $text, public string $source) {}
}
