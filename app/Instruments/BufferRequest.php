<?php

declare(strict_types=1);

namespace App\Instruments;

use Illuminate\Foundation\Http\FormRequest;

/** The buffer solution that the pH meter stands in. */
final class BufferRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'buffer' => ['required', 'numeric', 'between:1,13'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'buffer' => 'Say which buffer it stands in, by its pH.',
        ];
    }
}
