<?php

declare(strict_types=1);

namespace Vinculum\Scaling;

/** What starts at a share of itself when a recipe grows (hold-back.ini). */
final readonly class HoldBackFacts
{
    public const FILE = 'hold-back';
    public const SECTION = 'strong';

    /**
     * @param list<string> $of keys
     * @param list<string> $roles
     */
    public function __construct(public array $of, public array $roles, public float $share) {}
}
