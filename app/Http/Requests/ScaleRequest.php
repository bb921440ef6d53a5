<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Kitchen\ScaleWish;

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

    /** Where nothing is asked for, the factor is missing, and that is said. */
    public function wish(): ScaleWish
    {
        return $this->size() ?? new ScaleWish();
    }
}
