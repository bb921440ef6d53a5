<?php

declare(strict_types=1);

namespace App\Kitchen;

use Illuminate\Foundation\Http\FormRequest;

/** What a kitchen measures with. */
final class ToolsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'has_scale' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'has_scale' => 'Say whether there is a scale.',
        ];
    }
}
