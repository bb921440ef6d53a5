<?php

declare(strict_types=1);

namespace App\Recipes;

/** A formula of which the lines tagged [lock] are kept, and the size the batch should have. */
final class DesignRequest extends FormulaRequest
{
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'style' => ['required', ...array_slice(parent::rules()['style'], 2)],
            'batch_grams' => ['required', 'numeric', 'between:0.001,1000000'],
            'base' => ['sometimes', 'nullable', 'string', 'max:100'],
            'may_grow' => ['sometimes', 'boolean'],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'style.required' => 'Choose a family: it says where the sauce should stand.',
            'may_grow' => 'Say whether the batch may grow.',
            'batch_grams' => 'Say how much it should make, in grams above zero.',
        ];
    }

    public function batchGrams(): float
    {
        return $this->float('batch_grams');
    }

    public function base(): ?string
    {
        return $this->filled('base') ? (string) $this->string('base') : null;
    }
}
