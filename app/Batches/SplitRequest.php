<?php

declare(strict_types=1);

namespace App\Batches;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Vinculum\Keeping\BatchSplit;

/** What a batch is to be used for, on how much food, for how many people. */
final class SplitRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'uses' => ['required', 'array', 'list', 'min:1'],
            'uses.*' => ['string', Rule::in(BatchSplit::uses())],
            'kilograms' => ['sometimes', 'nullable', 'numeric', 'between:0,1000'],
            'people' => ['sometimes', 'nullable', 'numeric', 'between:0,10000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'uses' => 'Choose one use at least.',
            'uses.*' => 'A sauce is used as ' . implode(', ', BatchSplit::uses()) . '.',
            'kilograms' => 'The food is a weight in kilograms, up to 1000.',
            'people' => 'The people are a number, up to 10,000.',
        ];
    }

    /** @return list<string> */
    public function uses(): array
    {
        return array_values(array_filter((array) $this->input('uses'), is_string(...)));
    }

    public function kilograms(): float
    {
        return $this->float('kilograms');
    }

    public function people(): float
    {
        return $this->float('people');
    }
}
