<?php

declare(strict_types=1);

namespace App\Recipes;

use Vinculum\Drafting\AtHand;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Kitchen\Sauce;

/** A formula of which the lines tagged [lock] are kept, and the size the batch should have. */
final class DesignRequest extends FormulaRequest
{
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'style' => ['required', ...array_slice(parent::rules()['style'], 2)],
            'batch_grams' => ['required', 'numeric', 'between:0.001,1000000'],
            'base' => ['sometimes', 'nullable', 'string', 'max:100'],
            'may_grow' => ['sometimes', 'boolean'],
            'at_hand' => ['sometimes', 'nullable', 'string', 'max:4000'],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'style.required' => 'Choose a family: it says where the sauce should stand.',
            'may_grow' => 'Say whether the batch may grow.',
            'at_hand' => 'What you have is a list of at most 4,000 letters.',
            'batch_grams' => 'Say how much it should make, in grams above zero.',
        ];
    }

    public function batchGrams(): float
    {
        return $this->float('batch_grams');
    }

    /** @return list<Ingredient>|null everything that there is, as far as it is understood; null where nothing was said */
    public function atHand(Sauce $sauce): ?array
    {
        return $this->filled('at_hand')
            ? AtHand::namedIn((string) $this->string('at_hand'), $sauce->catalogue(), $sauce->measures())
            : null;
    }

    public function base(): ?string
    {
        return $this->filled('base') ? (string) $this->string('base') : null;
    }
}
