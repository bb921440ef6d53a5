<?php

declare(strict_types=1);

namespace App\Palate;

use Illuminate\Foundation\Http\FormRequest;

/** Whether the kitchen may learn how this cook likes it. */
final class PalateRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'on' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'on' => 'Say whether it is on or off.',
        ];
    }
}
