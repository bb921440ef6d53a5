<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Described;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * Lines of a recipe: each a text, or a text with the number that is its own. They are looked at in one go: a rule for each of
 * them would take longer than reading them.
 */
final readonly class LinesRule implements Described, ValidationRule
{
    private const LONGEST_LINE = 10_000;
    private const MOST_ID = 1_000_000_000;

    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        $ids = [];
        foreach (is_array($value) ? array_values($value) : [] as $at => $line) {
            $number = $at + 1;
            $id = is_array($line) ? $line['id'] ?? null : null;
            $text = is_array($line) ? $line['text'] ?? null : $line ?? '';
            $fault = match (true) {
                !is_string($text) => "Line {$number} is not text.",
                strlen($text) > self::LONGEST_LINE => "Line {$number} is longer than 10,000 letters: that is no ingredient. Cut it, or split it into lines.",
                is_array($line) && !self::isNumber($id) => "Line {$number} has no number of its own: give it a whole number from 1, or send its text alone.",
                is_int($id) && isset($ids[$id]) => "Line {$number} has the number of another line: each has one of its own.",
                is_array($line) && !self::isPlace($line['said'] ?? null) => "Line {$number} says it was told at no place: two numbers, the first the lower.",
                default => null,
            };
            if ($fault !== null) {
                $fail("{$attribute}.{$at}", $fault);
            }
            if (is_int($id)) {
                $ids[$id] = true;
            }
        }
    }

    public function schema(): array
    {
        $line = [
            'type' => 'object',
            'properties' => [
                'id' => ['type' => 'integer'],
                'text' => ['type' => 'string'],
                'apart' => ['type' => 'boolean'],
                'said' => ['type' => 'array', 'items' => ['type' => 'integer']],
            ],
            'required' => ['id', 'text'],
        ];

        return ['type' => 'array', 'items' => ['anyOf' => [['type' => 'string'], $line]]];
    }

    private static function isNumber(mixed $id): bool
    {
        return is_int($id) && $id >= 1 && $id <= self::MOST_ID;
    }

    private static function isPlace(mixed $said): bool
    {
        return $said === null || is_array($said) && array_keys($said) === [0, 1]
            && is_int($said[0]) && is_int($said[1]) && 0 <= $said[0] && $said[0] <= $said[1];
    }
}
