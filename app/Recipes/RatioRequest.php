<?php

declare(strict_types=1);

namespace App\Recipes;

/** A formula, and the sweet over sour that it should have, or which way it should go by a notch. */
final class RatioRequest extends FormulaRequest
{
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'sweet_to_sour' => ['required_without:by_a_notch', 'nullable', 'numeric', 'between:0.05,500'],
            'by_a_notch' => ['sometimes', 'nullable', 'in:sweeter,sharper'],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'sweet_to_sour' => 'Sweet over sour is a number from 0.05 to 500.',
            'by_a_notch' => 'A notch goes sweeter or sharper.',
        ];
    }

    public function ratio(): float
    {
        return $this->float('sweet_to_sour');
    }

    /** 1 for sweeter, −1 for sharper; null where a ratio is named. */
    public function direction(): ?int
    {
        return match ((string) $this->string('by_a_notch')) {
            'sweeter' => 1,
            'sharper' => -1,
            default => null,
        };
    }
}
