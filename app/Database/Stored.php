<?php

declare(strict_types=1);

namespace App\Database;

/**
 * An answer of an earlier day, as it was sent and kept then.
 *
 * @template-covariant T what it was before it became JSON
 */
final readonly class Stored implements \JsonSerializable
{
    /** @param array<array-key, mixed> $json */
    public function __construct(private array $json) {}

    /** @return array<array-key, mixed> */
    public function jsonSerialize(): array
    {
        return $this->json;
    }
}
