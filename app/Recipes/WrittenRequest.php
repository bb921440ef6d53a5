<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Quantity\Measures;

/** A sauce as a person types or pastes it. */
final class WrittenRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'text' => ['present', 'nullable', 'string', 'max:' . RecipeReader::MOST_BYTES],
            'measures' => ['sometimes', 'nullable', Rule::enum(Measures::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text' => 'It is no text, or larger than 5 MB.',
            'measures' => 'Measures are us, metric, imperial, au, uk or jp.',
        ];
    }

    public function text(): string
    {
        return (string) $this->string('text');
    }

    public function measures(): Measures
    {
        return Measures::tryFrom((string) $this->string('measures')) ?? Measures::Us;
    }
}
