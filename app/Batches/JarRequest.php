<?php

declare(strict_types=1);

namespace App\Batches;

use Illuminate\Foundation\Http\FormRequest;

/** Jars of one size that were filled. */
final class JarRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'ml' => ['required', 'numeric', 'between:1,100000'],
            'count' => ['required', 'integer', 'between:1,500'],
            'went_to' => ['sometimes', 'nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'ml' => 'A jar holds 1 ml or more, up to 100 litres.',
            'count' => 'Say how many jars, up to 500.',
            'went_to' => 'Where they went is longer than 200 letters.',
        ];
    }

    public function millilitres(): float
    {
        return $this->float('ml');
    }

    public function count(): int
    {
        return $this->integer('count');
    }

    public function wentTo(): ?string
    {
        return $this->filled('went_to') ? (string) $this->string('went_to') : null;
    }
}
