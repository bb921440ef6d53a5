<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Foundation\Http\FormRequest;

/** A page of the shelf, of the sauces that are named like something. */
final class ShelfRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'named' => ['sometimes', 'nullable', 'string', 'max:200'],
            'page' => ['sometimes', 'integer', 'between:1,10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'named' => 'The name to look for is longer than 200 letters.',
            'page' => 'Pages are counted from 1.',
        ];
    }

    public function named(): string
    {
        return trim((string) $this->string('named'));
    }

    /** From 0. */
    public function page(): int
    {
        return $this->integer('page', 1) - 1;
    }
}
