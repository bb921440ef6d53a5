<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Faults;
use Illuminate\Validation\ValidationException;
use Vinculum\Kitchen\Sauce;
use Vinculum\Scaling\RequestedSize;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaleFault;

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

    /**
     * The sauce at the size that is asked for. Where nothing is, the factor is missing, and that is said.
     *
     * @throws ValidationException when it cannot be made in that size
     */
    public function scale(Sauce $sauce): Scale
    {
        try {
            return ($this->size() ?? new RequestedSize())->scale($sauce);
        } catch (ScaleFault $fault) {
            throw Faults::in('to', $fault);
        }
    }
}
