<?php

declare(strict_types=1);

namespace App\Recipes;

use Vinculum\Recipe\RecipeLine;

/** A formula, and which line of it goes up or down by how much. */
final class NudgeRequest extends FormulaRequest
{
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'line' => ['required', 'integer', 'min:1', self::isThere(...)],
            'direction' => ['required', 'in:up,down'],
            'by' => ['sometimes', 'nullable', 'in:notch,step'],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'line.required' => 'Say which line, by its number.',
            'line.integer' => 'Say which line, by its number.',
            'line.min' => 'Say which line, by its number.',
            'direction' => 'An amount goes up or down.',
            'by' => 'An amount goes by a notch or by a step.',
        ];
    }

    /** The number that the recipe's line has. */
    public function line(): int
    {
        return $this->integer('line');
    }

    public function direction(): int
    {
        return (string) $this->string('direction') === 'up' ? 1 : -1;
    }

    public function isByStep(): bool
    {
        return (string) $this->string('by') === 'step';
    }

    private function isThere(string $field, mixed $value, \Closure $fail): void
    {
        try {
            $ids = array_map(static fn(RecipeLine $line): int => $line->id, $this->edit()->lines);
        } catch (\InvalidArgumentException) {
            // the lines have their own rule
            return;
        }
        if (is_numeric($value) && !in_array((int) $value, $ids, true)) {
            $fail("No line has the number {$value}.");
        }
    }
}
