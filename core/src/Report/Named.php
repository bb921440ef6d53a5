<?php

declare(strict_types=1);

namespace Vinculum\Report;

/**
 * Values by names that vary. It goes out as an object also where there are none, which a bare array would not.
 *
 * @template-covariant T
 */
final readonly class Named implements \JsonSerializable
{
    /** @param array<string, T> $values by name */
    public function __construct(public array $values) {}

    public function jsonSerialize(): object
    {
        return (object) $this->values;
    }
}
