<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Validation\Rule;
use Vinculum\Cooking\Heat;
use Vinculum\Cooking\Pan;
use Vinculum\Cooking\Thickening;

/** A formula, and how thick or how far down it should come. */
final class ThicknessRequest extends FormulaRequest
{
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'by' => ['sometimes', 'nullable', 'in:volume,weight,solids,window,thickness'],
            'value' => ['sometimes', 'nullable', 'numeric'],
            'heat' => ['sometimes', 'nullable', 'string', Rule::in(Heat::keys())],
            'consistency' => ['sometimes', 'nullable', 'string', Rule::in(Thickening::consistencies())],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'by' => 'A reduction goes by volume, weight, solids, thickness or into the window.',
            'value' => 'Say how far as a number above zero.',
            'heat' => 'The heat is one of ' . implode(', ', Heat::keys()) . '.',
            'consistency' => 'A sauce can be thickened until it is ' . implode(', ', Thickening::consistencies()) . '.',
        ];
    }

    public function by(): string
    {
        return (string) $this->string('by') ?: 'volume';
    }

    public function value(): float
    {
        return $this->float('value');
    }

    public function pan(): ?Pan
    {
        return $this->filled('pan') ? Pan::parse((string) $this->string('pan')) : null;
    }

    public function heat(): Heat
    {
        return Heat::named($this->filled('heat') ? (string) $this->string('heat') : Heat::keys()[1]);
    }

    public function consistency(): string
    {
        return (string) $this->string('consistency') ?: 'coating';
    }
}
