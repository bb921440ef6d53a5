<?php

declare(strict_types=1);

namespace App\Recipes;

use Vinculum\Recipe\Recipe;

/** Two states of a sauce: the formula itself is the later one, `before` the earlier. */
final class CompareRequest extends FormulaRequest
{
    public function rules(): array
    {
        $rules = parent::rules();
        $before = [];
        foreach (['yield', 'measures', 'lines', 'part_ml', 'style', 'pan', 'method', 'method.*', 'sauce'] as $field) {
            $before["before.{$field}"] = $rules[$field];
        }

        return [...$rules, 'before' => ['required', 'array'], ...$before];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'before.required' => 'Say what to compare with.',
            'before.*' => 'What to compare with is not a formula.',
        ];
    }

    public function before(): Recipe
    {
        $sauce = $this->filled('before.sauce') ? $this->integer('before.sauce') : $this->edit()->sauce;

        return self::formulaIn($this->array('before'), $sauce);
    }
}
