<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

/** The patterns that were asked for while somebody watched. */
final class WatchedPatterns
{
    /** @var array<string, true> by pattern */
    public static array $seen = [];
}
