<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Pantry\Pantry;
use Illuminate\Validation\Rule;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Suitability;
use Vinculum\Substitution\Season;
use Vinculum\Substitution\SwapReason;

/**
 * A formula, what of it is to be replaced, and why. Without a line: everything that is in the way of the allergens and
 * diets named.
 */
final class SwapRequest extends FormulaRequest
{
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'line' => ['sometimes', 'nullable', 'integer', 'min:1'],
            'part' => ['sometimes', 'nullable', 'integer', 'min:1'],
            'reason' => ['sometimes', 'nullable', 'in:missing,cannot-eat,season,cheaper,stronger,milder,fewer-calories,less-salt,less-sugar'],
            'allergens' => ['sometimes', 'nullable', 'array', 'list', 'max:14'],
            'allergens.*' => ['string', Rule::in(array_keys(FactsFile::named('allergens')))],
            'diets' => ['sometimes', 'nullable', 'array', 'list', 'max:5'],
            'diets.*' => ['string', Rule::in(Suitability::allDiets())],
            'month' => ['sometimes', 'nullable', 'integer', 'between:1,12'],
            'zone' => ['sometimes', 'nullable', 'timezone:all_with_bc'],
            'for' => ['sometimes', 'nullable', 'string', 'max:100'],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'line' => 'Say which line is to be replaced, by its number.',
            'part' => 'Of several things in a line, say which, counted from 1.',
            'reason' => 'A reason is missing, cannot-eat, season, cheaper, stronger, milder, fewer-calories, less-salt or less-sugar.',
            'allergens' => 'Allergens are those of the European list.',
            'allergens.*' => 'One of the allergens is not on the European list.',
            'diets' => 'Diets are vegan, vegetarian, gluten-free, alcohol-free and no-added-sugar.',
            'diets.*' => 'Diets are vegan, vegetarian, gluten-free, alcohol-free and no-added-sugar.',
            'month' => 'A month is a number from 1 to 12.',
            'zone' => 'The time zone is one such as Europe/London.',
            'for' => 'The substitute is named by its key in the catalogue.',
        ];
    }

    /** The number that the recipe's line has. */
    public function line(): int
    {
        return $this->integer('line', 1);
    }

    /** Which of the things that it names, from 1. */
    public function part(): int
    {
        return $this->integer('part', 1) ?: 1;
    }

    public function reason(Pantry $pantry): SwapReason
    {
        return match ((string) $this->string('reason')) {
            'cannot-eat' => SwapReason::cannotEat($this->texts('allergens'), $this->texts('diets')),
            'season' => SwapReason::outOfSeason($this->integer('month') ?: $this->monthNow()),
            'cheaper' => SwapReason::cheaper($pantry->prices()),
            'stronger' => SwapReason::stronger(),
            'milder' => SwapReason::milder(),
            'fewer-calories' => SwapReason::fewerCalories(),
            'less-salt' => SwapReason::lessSalt(),
            'less-sugar' => SwapReason::lessSugar(),
            default => SwapReason::missing(),
        };
    }

    /** As the cook's own zone has it; without one, as the server's clock does. */
    private function monthNow(): int
    {
        $zone = (string) $this->string('zone');

        return Season::month($zone === '' ? now()->toImmutable() : now($zone)->toImmutable());
    }

    /** What a whole recipe is to be made fit for. */
    public function avoids(): SwapReason
    {
        return match ((string) $this->string('reason')) {
            'fewer-calories' => SwapReason::fewerCalories(),
            'less-salt' => SwapReason::lessSalt(),
            'less-sugar' => SwapReason::lessSugar(),
            default => $this->cannotEat(),
        };
    }

    private function cannotEat(): SwapReason
    {
        return SwapReason::cannotEat($this->texts('allergens'), $this->texts('diets'));
    }

    public function substitute(): ?string
    {
        return $this->filled('for') ? (string) $this->string('for') : null;
    }

    /** @return list<string> */
    private function texts(string $field): array
    {
        $values = $this->input($field);

        return is_array($values) ? array_values(array_filter($values, is_string(...))) : [];
    }
}
