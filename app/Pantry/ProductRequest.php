<?php

declare(strict_types=1);

namespace App\Pantry;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Vinculum\Ingredient\Catalogue;

/** A product as its label has it. Whether the figures can be right is the core's to say. */
final class ProductRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100', 'not_regex:/[,\x00-\x1F]/'],
            'like' => ['required', 'string', Rule::in(Catalogue::shipped()->keys())],
            'stands_in' => ['required', 'boolean'],
            'in_stock' => ['required', 'boolean'],
            'price' => ['nullable', 'numeric', 'between:0,100000'],
            'pack_grams' => ['nullable', 'numeric', 'between:0.1,1000000'],
            'label' => ['present', 'array'],
            'label.per_serving' => ['sometimes', 'boolean'],
            'label.ingredients' => ['nullable', 'string', 'max:5000'],
            ...array_combine(
                array_map(static fn(string $field): string => "label.{$field}", Product::FIGURES),
                array_fill(0, count(Product::FIGURES), ['nullable', 'numeric']),
            ),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'The product needs a name: what you call it when you write it down.',
            'name.not_regex' => 'A name holds no comma: what stands after a comma is preparation.',
            'name.max' => 'The name is longer than 100 letters: shorten it.',
            'like' => 'Say which ingredient it is most like, so that what the label leaves out can be taken from there.',
            'price' => 'The price is a number, at least 0.',
            'pack_grams' => 'The pack is a weight in grams, from 0.1 on.',
            'label.*' => 'A figure on the label is not a number: write it like 12.5.',
        ];
    }

    public function into(Product $product): Product
    {
        $label = [];
        foreach ([...Product::FIGURES, 'per_serving', 'ingredients'] as $field) {
            $value = $this->input("label.{$field}");
            if ($value !== null && $value !== '') {
                $isFigure = in_array($field, Product::FIGURES, true) && is_numeric($value);
                $label[$field] = $isFigure ? (float) $value : $value;
            }
        }

        return $product->fill([
            'name' => trim((string) $this->string('name')),
            'like' => (string) $this->string('like'),
            'label' => $label,
            'stands_in' => $this->boolean('stands_in'),
            'in_stock' => $this->boolean('in_stock'),
            'price' => $this->filled('price') ? $this->float('price') : null,
            'pack_grams' => $this->filled('pack_grams') ? $this->float('pack_grams') : null,
        ]);
    }
}
