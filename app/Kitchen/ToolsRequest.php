<?php

declare(strict_types=1);

namespace App\Kitchen;

use Illuminate\Foundation\Http\FormRequest;

/** What a kitchen measures with, and when. */
final class ToolsRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'has_scale' => ['required_without:readies_first', 'boolean'],
            'readies_first' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'has_scale' => 'Say whether there is a scale.',
            'readies_first' => 'Say whether all is made ready before the heat.',
        ];
    }
}
