<?php

declare(strict_types=1);

namespace App\Palate;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Vinculum\Palate\Staircase;
use Vinculum\Sensory\Axis;

/** Which of two glasses was the stronger, and whether that was right. */
final class GuessRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'axis' => ['required', Rule::enum(Axis::class)],
            'level' => ['required', 'numeric', Rule::in(Staircase::LEVELS)],
            'right' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'axis' => 'The axis is one of the five.',
            'level' => 'The glasses are ' . implode(', ', Staircase::LEVELS) . ' steps apart.',
            'right' => 'Say whether it was right.',
        ];
    }
}
