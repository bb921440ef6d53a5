<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Vinculum\Quantity\Measures;

/** A line that is being written. */
final class SuggestRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'text' => ['present', 'nullable', 'string', 'max:400'],
            'measures' => ['sometimes', 'nullable', Rule::enum(Measures::class)],
            'sauce' => ['sometimes', 'nullable', 'integer', 'between:1,999999999999'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text' => 'A line is a text of at most 400 letters.',
            'measures' => 'Measures are us, metric, imperial, au, uk or jp.',
            'sauce' => 'The sauce is named by its number.',
        ];
    }

    public function measures(): Measures
    {
        return Measures::tryFrom((string) $this->string('measures')) ?? Measures::Us;
    }

    public function sauce(): ?int
    {
        return $this->filled('sauce') ? $this->integer('sauce') : null;
    }
}
