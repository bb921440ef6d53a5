<?php

declare(strict_types=1);

namespace Vinculum\Report;

/**
 * A readonly answer of the core: every figure with its band, every decision taken, every sentence written. Whoever
 * shows it decides nothing more. As JSON its properties go by the names of the public contract, numbers to six
 * significant figures.
 */
abstract readonly class Report implements \JsonSerializable
{
    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return $this->toArray();
    }

    /** @var list<string> the properties whose own fields stand among those of this report */
    public const INLINE = [];

    /** @return array<string, mixed> by the names of the contract */
    public function toArray(): array
    {
        $fields = [];
        foreach (get_object_vars($this) as $name => $value) {
            if ($value instanceof self && in_array($name, static::INLINE, true)) {
                $fields = [...$fields, ...$value->toArray()];
            } else {
                $fields[self::named($name)] = self::plain($value);
            }
        }

        return $fields;
    }

    /** Six significant figures: far finer than any doubt, and free of binary noise. */
    public static function rounded(float $value): float
    {
        return $value === 0.0 ? 0.0 : round($value, max(0, 5 - (int) floor(log10(abs($value)))));
    }

    private static function plain(mixed $value): mixed
    {
        return match (true) {
            is_float($value) => self::rounded($value),
            $value instanceof Exact => $value->value,
            is_array($value) => array_map(self::plain(...), $value),
            $value instanceof self => $value->toArray(),
            $value instanceof Named => (object) array_map(self::plain(...), $value->values),
            $value instanceof \BackedEnum => $value->value,
            default => $value,
        };
    }

    /** The name that a property has in the contract. */
    public static function named(string $property): string
    {
        // the same few names, thousands of times an answer
        /** @var array<string, string> $known */
        static $known = [];

        return $known[$property] ??= strtolower((string) preg_replace('/[A-Z]|(?<=[a-z])\d+/', '_$0', $property));
    }
}
