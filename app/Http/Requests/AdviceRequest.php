<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Validation\Rule;
use Vinculum\Correction\Complaint;
use Vinculum\Ingredient\Catalogue;

/** A formula with what a correction may do. */
final class AdviceRequest extends FormulaRequest
{
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'with' => ['sometimes', 'nullable', 'array', 'list', 'max:40'],
            'with.*' => ['string', Rule::in(Catalogue::shipped()->keys())],
            'most' => ['sometimes', 'nullable', 'integer', 'between:1,3'],
            'complaint' => ['sometimes', 'nullable', 'string', Rule::in(Complaint::keys())],
            'capacity_ml' => ['sometimes', 'nullable', 'numeric', 'gt:0', 'max:1000000'],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'with.*' => 'One of the things that may be added is not in the catalogue.',
            'with' => 'What may be added is a list of at most 40 ingredients.',
            'most' => 'A correction combines 1, 2 or 3 additions.',
            'complaint' => 'Nobody knows that complaint.',
            'capacity_ml' => 'The capacity is a volume in millilitres, above zero.',
        ];
    }

    /** @return list<string>|null */
    public function with(): ?array
    {
        $keys = $this->input('with');

        return is_array($keys) ? array_values(array_filter($keys, is_string(...))) : null;
    }

    public function most(): int
    {
        return $this->integer('most', 3) ?: 3;
    }

    public function complaint(): ?Complaint
    {
        return $this->filled('complaint') ? Complaint::named((string) $this->string('complaint')) : null;
    }

    public function capacity(): ?float
    {
        return $this->filled('capacity_ml') ? $this->float('capacity_ml') : null;
    }
}
