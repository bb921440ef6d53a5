<?php

declare(strict_types=1);

namespace App\Plans;

use Illuminate\Foundation\Http\FormRequest;

/** Sauces and sizes, and the day and time on the cook's own clock when they are to be ready. */
final class PlanRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['sometimes', 'nullable', 'string', 'max:200'],
            'ready' => ['required', 'string', 'date_format:Y-m-d H:i'],
            'zone' => ['required', 'timezone:all_with_bc'],
            'rings' => ['sometimes', 'integer', 'between:1,8'],
            'items' => ['required', 'array', 'list', 'min:1', 'max:20'],
            'items.*.sauce' => ['required', 'integer', 'exists:sauces,id,deleted_at,NULL'],
            'items.*.size' => ['sometimes', 'nullable', 'string', 'max:200'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title' => 'The name is longer than 200 letters.',
            'ready' => 'Say the day and time as 2026-11-28 18:00.',
            'zone' => 'The time zone is one such as Europe/London.',
            'rings' => 'A hob has one to eight rings.',
            'items' => 'Choose one to twenty sauces.',
            'items.*.sauce' => 'One of the sauces is no longer on the shelf: take it out of the plan.',
            'items.*.size' => 'A size is written as "4 x 250 ml", "1.5 l" or 2.',
        ];
    }

    public function plan(Plan $plan): Plan
    {
        $items = [];
        foreach ((array) $this->input('items') as $item) {
            if (is_array($item) && is_numeric($item['sauce'] ?? null)) {
                $items[] = [
                    'sauce' => (int) $item['sauce'],
                    'size' => is_string($item['size'] ?? null) ? $item['size'] : '',
                ];
            }
        }

        return $plan->fill([
            'title' => (string) $this->string('title') ?: 'Plan',
            'ready' => (string) $this->string('ready'),
            'zone' => (string) $this->string('zone'),
            'rings' => $this->integer('rings', 1),
            'items' => $items,
        ]);
    }
}
