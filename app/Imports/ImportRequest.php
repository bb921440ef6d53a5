<?php

declare(strict_types=1);

namespace App\Imports;

use App\Exchange\ImportFault;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Quantity\Measures;

/** The contents of a file, as text. What it is, is seen from what is in it. */
final class ImportRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'contents' => ['required_without:upload', 'nullable', 'string', 'max:' . RecipeReader::MOST_BYTES],
            'upload' => ['sometimes', 'string', 'regex:/^[0-9a-f]{24}$/'],
            'measures' => ['sometimes', 'nullable', Rule::enum(Measures::class)],
            'keep_both' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'contents.required_without' => 'There is nothing in it.',
            'upload' => 'That file is not here any more: choose it again.',
            'contents' => 'It is no text, or larger than 5 MB.',
            'measures' => 'Measures are us, metric, imperial, au, uk or jp.',
            'keep_both' => 'Say whether both are kept.',
        ];
    }

    /** @throws ImportFault where the file is not there any more */
    public function incoming(Uploads $uploads): Incoming
    {
        return $this->filled('upload')
            ? Incoming::upload((string) $this->string('upload'), $uploads)
            : Incoming::text((string) $this->string('contents'));
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
