<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A formula, and the size it is wanted in: exactly one of a factor, containers or an amount, portions, or what there is of one thing. */
final class ScaleRequest extends FormulaRequest
{
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'factor' => ['sometimes', 'nullable', 'numeric'],
            'to' => ['sometimes', 'nullable', 'string', 'max:200'],
            'have' => ['sometimes', 'nullable', 'string', 'max:400'],
            'serves' => ['sometimes', 'nullable', 'numeric'],
            'portion' => ['sometimes', 'nullable', 'string', 'max:100'],
            'pan' => ['sometimes', 'nullable', 'string', 'max:100'],
            'head_space' => ['sometimes', 'nullable', 'numeric', 'between:0,0.5'],
            'loss' => ['sometimes', 'nullable', 'numeric', 'between:0,0.5'],
            'hold_back' => ['sometimes', 'boolean'],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'factor' => 'A factor is a number, such as 2.5.',
            'to' => 'Say it as "6 x 250 ml" or "1.5 l".',
            'have' => 'Say what there is as "gooseberries 340 g".',
            'serves' => 'How many it serves is a number.',
            'portion' => 'A portion is an amount such as "30 ml".',
            'pan' => 'A pan is named as "24 cm" or "5 l".',
            'head_space' => 'The head space is a share from 0 to a half.',
            'loss' => 'What stays in the pan is a share from 0 to a half.',
            'hold_back' => 'Say whether strong things are held back.',
        ];
    }

    public function text(string $field): ?string
    {
        $value = $this->input($field);

        return is_scalar($value) && trim((string) $value) !== '' ? (string) $value : null;
    }

    public function share(string $field, float $usual): float
    {
        return $this->filled($field) ? $this->float($field) : $usual;
    }
}
