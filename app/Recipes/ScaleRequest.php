<?php

declare(strict_types=1);

namespace App\Recipes;

/** A formula, and the size it is wanted in. */
final class ScaleRequest extends FormulaRequest
{
    use AsksForASize;

    public function rules(): array
    {
        return [...parent::rules(), ...self::sizeRules()];
    }

    public function messages(): array
    {
        return [...parent::messages(), ...self::sizeMessages()];
    }

    public function asksForASize(): bool
    {
        return $this->size() !== null;
    }

    /** Where nothing is asked for, the factor is missing, and that is said. */
    public function wish(): RequestedSize
    {
        return $this->size() ?? new RequestedSize();
    }
}
