<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Vinculum\Quantity\Measures;

/** The contents of a file, as text. What it is, is seen from what is in it. */
final class ImportRequest extends FormRequest
{
    private const MOST_BYTES = 5_000_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['contents' => ['required', 'string', 'max:' . self::MOST_BYTES], 'measures' => ['sometimes', 'nullable', Rule::enum(Measures::class)], 'keep_both' => ['sometimes', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['contents.required' => 'There is nothing in it.', 'contents' => 'It is no text, or larger than 5 MB.', 'measures' => 'Measures are us, metric, imperial, au or jp.', 'keep_both' => 'Say whether both are kept.'];
    }

    public function contents(): string
    {
        return (string) $this->string('contents');
    }

    public function measures(): Measures
    {
        return Measures::tryFrom((string) $this->string('measures')) ?? Measures::Us;
    }

    public function merges(): bool
    {
        return !$this->boolean('keep_both');
    }
}
