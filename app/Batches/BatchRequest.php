<?php

declare(strict_types=1);

namespace App\Batches;

use Illuminate\Foundation\Http\FormRequest;

/** How much is in the pan. */
final class BatchRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['pan_grams' => ['sometimes', 'nullable', 'numeric', 'between:0.1,1000000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['pan_grams' => 'What the pan holds is a weight in grams, from 0.1 on.'];
    }

    public function panGrams(): ?float
    {
        return $this->filled('pan_grams') ? $this->float('pan_grams') : null;
    }
}
