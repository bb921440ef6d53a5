<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/**
 * One section of a facts file, read field by field with the type the reader expects. A list is taken apart once,
 * however often it is asked for.
 */
final class Row
{
    /** @var array<string, list<string>> by field */
    private array $lists = [];

    /** @var array<string, list<float>> */
    private array $numbers = [];

    /** @var array<string, array<string, float>> */
    private array $amounts = [];

    /** @var array<string, string> patterns of the words of a field */
    private array $patterns = [];

    /** @param array<string, string> $fields */
    public function __construct(public readonly string $key, private readonly array $fields) {}

    public function has(string $field): bool
    {
        return isset($this->fields[$field]);
    }

    /** @return list<string> the names of its fields, in order */
    public function fields(): array
    {
        return array_keys($this->fields);
    }

    /** @throws FactsFault when the field is absent */
    public function text(string $field): string
    {
        return $this->fields[$field] ?? throw FactsFault::missing($this->key, $field);
    }

    public function textOr(string $field, string $default): string
    {
        return $this->fields[$field] ?? $default;
    }

    /** @throws FactsFault when the field is absent or not a number */
    public function number(string $field): float
    {
        return $this->toNumber($field, $this->text($field));
    }

    public function numberOrNull(string $field): ?float
    {
        return $this->has($field) ? $this->number($field) : null;
    }

    /**
     * A comma-separated field.
     *
     * @return list<string>
     */
    public function list(string $field): array
    {
        return $this->lists[$field] ??= preg_split(
            '/\s*,\s*/',
            trim($this->fields[$field] ?? ''),
            -1,
            PREG_SPLIT_NO_EMPTY,
        ) ?: [];
    }

    /** Whether a text holds one of the words of a field. */
    public function isSaidIn(string $text, string $field): bool
    {
        return $this->list($field) !== [] && preg_match("/{$this->pattern($field)}/iu", mb_scrub($text)) === 1;
    }

    /** A pattern that matches any of a field's words, the longest first, for use with the modifiers i and u. */
    public function pattern(string $field): string
    {
        return $this->patterns[$field] ??= Words::pattern($this->list($field));
    }

    /** @return list<float> */
    public function numbers(string $field): array
    {
        if (isset($this->numbers[$field])) {
            return $this->numbers[$field];
        }
        $numbers = [];
        foreach (explode(',', $this->fields[$field] ?? '') as $part) {
            if (is_numeric($part)) {
                $numbers[] = (float) $part;
            } elseif (trim($part) !== '') {
                throw FactsFault::notANumber($this->key, $field, trim($part));
            }
        }

        return $this->numbers[$field] = $numbers;
    }

    /**
     * A field of names each followed by a number: "water 94, acetic 5".
     *
     * @return array<string, float>
     */
    public function amounts(string $field): array
    {
        if (isset($this->amounts[$field])) {
            return $this->amounts[$field];
        }
        $amounts = [];
        foreach ($this->list($field) as $part) {
            $cut = strrpos($part, ' ');
            if ($cut === false) {
                throw FactsFault::notANumber($this->key, $field, $part);
            }
            $amounts[trim(substr($part, 0, $cut))] = $this->toNumber($field, substr($part, $cut + 1));
        }

        return $this->amounts[$field] = $amounts;
    }

    private function toNumber(string $field, string $found): float
    {
        return is_numeric($found) ? (float) $found : throw FactsFault::notANumber($this->key, $field, $found);
    }
}
