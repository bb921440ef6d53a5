<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

/** What a small and a large one weighs beside a middling one (sizes.ini). */
final readonly class SizeFacts
{
    public const FILE = 'sizes';
    public const SECTION = 'of-one';

    public function __construct(public float $small, public float $large) {}
}
