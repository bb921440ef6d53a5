<?php

declare(strict_types=1);

namespace App\Recipes;

/** A formula, and the sweet over sour that it should have. */
final class RatioRequest extends FormulaRequest
{
    public function rules(): array
    {
        return [...parent::rules(), 'sweet_to_sour' => ['required', 'numeric', 'between:0.05,500']];
    }

    public function messages(): array
    {
        return [...parent::messages(), 'sweet_to_sour' => 'Sweet over sour is a number from 0.05 to 500.'];
    }

    public function ratio(): float
    {
        return $this->float('sweet_to_sour');
    }
}
