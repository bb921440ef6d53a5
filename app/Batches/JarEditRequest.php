<?php

declare(strict_types=1);

namespace App\Batches;

use Illuminate\Foundation\Http\FormRequest;

/** Where a jar went, and whether it is finished. */
final class JarEditRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'went_to' => ['sometimes', 'nullable', 'string', 'max:200'],
            'finished' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'went_to' => 'Where it went is longer than 200 letters.',
            'finished' => 'Say whether it is finished.',
        ];
    }
}
