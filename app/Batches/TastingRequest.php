<?php

declare(strict_types=1);

namespace App\Batches;

use App\Pantry\Pantry;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Vinculum\Correction\Complaint;
use Vinculum\Correction\Tongue;
use Vinculum\Ingredient\Catalogue;

/** What the tongue says of a batch, what was added to it, and what else is worth keeping of a tasting. */
final class TastingRequest extends FormRequest
{
    private const AXES = 'array:sweet,sour,salt,umami,heat';

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'says' => ['sometimes', 'nullable', 'array', 'list', 'max:9'],
            'says.*' => ['array:complaint,strength'],
            'says.*.complaint' => ['required', 'string', Rule::in(Complaint::ofTaste())],
            'says.*.strength' => ['required', 'string', Rule::in(Tongue::strengths())],
            'way_back' => ['sometimes', 'boolean'],
            'capacity_ml' => ['sometimes', 'nullable', 'numeric', 'between:0.001,1000000'],
            'additions' => ['sometimes', 'array', 'list', 'min:1', 'max:3'],
            'additions.*' => ['array:ingredient,grams,measure'],
            'additions.*.ingredient' => ['required', 'string', 'max:100', self::known(...)],
            'additions.*.grams' => ['required', 'numeric', 'between:0.001,100000'],
            'additions.*.measure' => ['required', 'string', 'max:100'],
            'offered' => ['sometimes', 'array', 'list', 'max:3'],
            'offered.*' => ['array', 'list', 'min:1', 'max:3'],
            'offered.*.*' => ['required', 'string', 'max:100', self::known(...)],
            'scores' => ['sometimes', 'nullable', self::AXES],
            'scores.*' => ['numeric', 'between:-2,2'],
            'temperature' => ['sometimes', 'nullable', 'in:warm,cold'],
            'food' => ['sometimes', 'nullable', 'string', 'max:200'],
            'words' => ['sometimes', 'nullable', 'string', 'max:2000'],
            'good' => ['sometimes', 'boolean'],
            'close' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'says.*' => 'What the tongue says is a list of words, each with how strongly it is meant.',
            'says' => 'What the tongue says is a list of words, each with how strongly it is meant.',
            'says.*.complaint' => 'Nobody knows that word for a taste.',
            'says.*.strength' => 'A word is meant a little, clear or far.',
            'capacity_ml' => 'The capacity is a volume in millilitres, above zero.',
            'additions' => 'A dose is one to three things that were added.',
            'additions.*.grams' => 'What was added has a weight in grams, above zero.',
            'additions.*.measure' => 'Say in words how much was added.',
            'offered' => 'What was offered is a list of up to three ways, each of one to three ingredients.',
            'offered.*' => 'What was offered is a list of up to three ways, each of one to three ingredients.',
            'scores' => 'Scores are for sweet, sour, salt, umami and heat.',
            'scores.*' => 'A score runs from -2, far too little, to 2, far too much.',
            'temperature' => 'It was tasted warm or cold.',
            'food' => 'What it was tasted with is longer than 200 letters.',
            'words' => 'The words about it are longer than 2,000 letters.',
        ];
    }

    /** @return list<array{complaint: string, strength: string}> */
    public function says(): array
    {
        $said = [];
        foreach ($this->array('says') as $one) {
            if (is_array($one) && is_string($one['complaint'] ?? null) && is_string($one['strength'] ?? null)) {
                $said[] = ['complaint' => $one['complaint'], 'strength' => $one['strength']];
            }
        }

        return $said;
    }

    /** @return list<array{ingredient: string, grams: float, measure: string}> */
    public function additions(): array
    {
        $additions = [];
        foreach ($this->array('additions') as $one) {
            if (
                is_array($one)
                && is_string($one['ingredient'] ?? null)
                && is_numeric($one['grams'] ?? null)
                && is_string($one['measure'] ?? null)
            ) {
                $additions[] = [
                    'ingredient' => $one['ingredient'],
                    'grams' => (float) $one['grams'],
                    'measure' => $one['measure'],
                ];
            }
        }

        return $additions;
    }

    /** @return array{said: list<array{complaint: string, strength: string}>, answer: array{offered: list<list<string>>, taken: list<string>|null}|null, scores: array<string, float>, temperature: string|null, food: string|null, words: string|null, good: bool} */
    public function told(): array
    {
        $text = fn(string $field): ?string => $this->filled($field) ? (string) $this->string($field) : null;
        $scores = [];
        foreach ($this->array('scores') as $axis => $score) {
            if (is_numeric($score)) {
                $scores[(string) $axis] = (float) $score;
            }
        }

        return [
            'said' => $this->says(),
            'answer' => self::answer($this->offered(), null),
            'scores' => $scores,
            'temperature' => $text('temperature'),
            'food' => $text('food'),
            'words' => $text('words'),
            'good' => $this->boolean('good'),
        ];
    }

    /** @return list<list<string>> keys of ingredients of each way that was offered, the first answer first */
    public function offered(): array
    {
        $offered = [];
        foreach ($this->array('offered') as $way) {
            $keys = is_array($way) ? array_values(array_filter($way, is_string(...))) : [];
            if ($keys !== []) {
                $offered[] = $keys;
            }
        }

        return $offered;
    }

    public function capacity(): ?float
    {
        return $this->filled('capacity_ml') ? $this->float('capacity_ml') : null;
    }

    /**
     * @param list<list<string>> $offered
     * @param list<string>|null $taken
     *
     * @return array{offered: list<list<string>>, taken: list<string>|null}|null
     */
    public static function answer(array $offered, ?array $taken): ?array
    {
        return $offered === [] ? null : ['offered' => $offered, 'taken' => $taken];
    }

    private static function known(string $field, mixed $value, \Closure $fail): void
    {
        if (is_string($value) && !Catalogue::shipped()->has($value) && !app(Pantry::class)->catalogue()->has($value)) {
            $fail("There is no ingredient \"{$value}\" in the kitchen.");
        }
    }
}
