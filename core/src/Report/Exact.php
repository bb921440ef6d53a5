<?php

declare(strict_types=1);

namespace Vinculum\Report;

/**
 * A moment, a number of a thing, or whatever else goes out digit by digit as it came in: no figure with a doubt.
 *
 * @template-covariant T
 */
final readonly class Exact
{
    /** @param T $value */
    public function __construct(public mixed $value) {}
}
