<?php

declare(strict_types=1);

namespace App\Recipes;

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
            'line.required' => 'Say which line, counted from 1.',
            'line.integer' => 'Say which line, counted from 1.',
            'line.min' => 'Say which line, counted from 1.',
            'direction' => 'An amount goes up or down.',
            'by' => 'An amount goes by a notch or by a step.',
        ];
    }

    /** From 0. */
    public function line(): int
    {
        return $this->integer('line') - 1;
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
        $lines = $this->input('lines');
        $count = is_array($lines) ? count($lines) : 0;
        if (is_numeric($value) && $value > $count) {
            $fail("There is no line {$value}: the lines run from 1 to {$count}.");
        }
    }
}
