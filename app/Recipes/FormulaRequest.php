<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\OneOf;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Family\FamilyBook;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Sensory\Axis;

/** A formula as a person writes it. The lines themselves are never refused for what they say. */
class FormulaRequest extends FormRequest
{
    private const MOST_STEPS = 500;
    private const LONGEST_STEP = 2_000;
    private const MOST_SET_ASIDE = 2_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['sometimes', 'nullable', 'string', 'max:200'],
            'style' => ['sometimes', 'nullable', 'string', self::style()],
            'measures' => ['sometimes', 'nullable', Rule::enum(Measures::class)],
            'yield' => ['sometimes', 'nullable', 'string', 'max:200'],
            'part_ml' => ['sometimes', 'nullable', 'numeric', 'between:1,100000'],
            'sauce' => ['sometimes', 'nullable', 'integer', 'between:1,999999999999'],
            'forked_from' => ['sometimes', 'nullable', 'integer', 'between:1,999999999999'],
            'pan' => ['sometimes', 'nullable', 'string', 'max:100'],
            'method' => ['sometimes', 'nullable', 'array', 'list', 'max:' . self::MOST_STEPS],
            'method.*' => ['present', 'nullable', 'string', 'max:' . self::LONGEST_STEP],
            'servings' => ['sometimes', 'nullable', 'integer', 'between:1,10000'],
            'set_aside' => ['sometimes', 'nullable', 'array', 'list', 'max:' . self::MOST_SET_ASIDE],
            'set_aside.*.text' => ['present', 'nullable', 'string', 'max:' . self::LONGEST_STEP],
            'set_aside.*.why' => ['required', 'string', 'max:20'],
            'set_aside.*.sure' => ['sometimes', 'boolean'],
            'let_go' => ['sometimes', 'nullable', 'array', 'list', 'max:5'],
            'let_go.*' => ['string', Rule::in(array_column(Axis::cases(), 'value'))],
            'aim' => ['sometimes', 'nullable', 'array', 'list', 'max:5'],
            'aim.*.axis' => ['required', 'string', 'distinct', Rule::in(array_column(Axis::cases(), 'value'))],
            'aim.*.steps' => ['required', 'numeric', 'between:0,200'],
            'lines' => ['present', 'array', 'list', 'max:' . RecipeReader::MOST_LINES, new LinesRule()],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.max' => 'The name is longer than 200 letters: shorten it.',
            'title.string' => 'The name is not text.',
            'measures' => 'Measures are us, metric, imperial, au, uk or jp.',
            'yield.max' => 'The yield is longer than 200 letters: write it as "500 ml".',
            'part_ml' => 'A part is a vessel of 1 ml or more, up to 100 litres.',
            'sauce' => 'The sauce is named by its number.',
            'forked_from' => 'The sauce it is a variant of is named by its number.',
            'pan' => 'A pan is named as "24 cm" or "5 l".',
            'servings' => 'How many it serves is a whole number from 1.',
            'set_aside' => 'What is set aside is a list of texts, each with what it is.',
            'set_aside.*' => 'What is set aside is a list of texts, each with what it is.',
            'let_go' => 'The axes that do not count are sweet, sour, salt, umami and heat.',
            'aim' => 'An aim is a list of axes, each with its place in steps.',
            'aim.*.axis' => 'An aim is on sweet, sour, salt, umami or heat, once each.',
            'aim.*.steps' => 'A place is from 0 to 200 steps.',
            'let_go.*' => 'The axes that do not count are sweet, sour, salt, umami and heat.',
            'method.max' => 'More than 500 steps is no method: split it.',
            'method' => 'The method is not a list of texts.',
            'method.*' => 'Step :position of the method is not text, or longer than 2,000 letters.',
            'lines.present' => 'The request holds no lines: send them as a list of texts, in UTF-8.',
            'lines.array' => 'The lines are not a list of texts.',
            'lines.list' => 'The lines are not a list of texts.',
            'lines.max' => 'More than 20,000 lines is no recipe: split it into several sauces.',
        ];
    }

    public function edit(): Recipe
    {
        return self::formulaIn($this->all(), $this->filled('sauce') ? $this->integer('sauce') : null);
    }

    /** @param array<array-key, mixed> $written a formula that the rules have let through */
    protected static function formulaIn(array $written, ?int $sauce): Recipe
    {
        $text = static fn(string $field): ?string => is_string($written[$field] ?? null)
            && trim($written[$field]) !== ''
            ? $written[$field]
            : null;

        return new Recipe(
            trim($text('title') ?? ''),
            $text('style'),
            RecipeLine::parse(is_array($written['lines'] ?? null) ? array_values($written['lines']) : []),
            array_values(
                array_map(
                    static fn(mixed $step): string => is_string($step) ? $step : '',
                    is_array($written['method'] ?? null) ? $written['method'] : [],
                ),
            ),
            Measures::tryFrom($text('measures') ?? '') ?? Measures::Us,
            $text('yield'),
            is_numeric($written['part_ml'] ?? null) ? (float) $written['part_ml'] : null,
            $text('pan'),
            $sauce,
            servings: is_numeric($written['servings'] ?? null) ? (int) $written['servings'] : null,
            setAside: self::setAside($written['set_aside'] ?? null),
            ignoredAxes: array_values(
                array_filter(
                    is_array($written['let_go'] ?? null) ? $written['let_go'] : [],
                    static fn(mixed $axis): bool => is_string($axis) && Axis::tryFrom($axis) !== null,
                ),
            ),
            places: self::places($written['aim'] ?? null),
        );
    }

    /** @return array<string, float> in steps, by axis */
    private static function places(mixed $written): array
    {
        $places = [];
        foreach (is_array($written) ? $written : [] as $one) {
            $axis = is_array($one) && is_string($one['axis'] ?? null) ? Axis::tryFrom($one['axis']) : null;
            if ($axis !== null && is_numeric($one['steps'] ?? null)) {
                $places[$axis->value] = (float) $one['steps'];
            }
        }

        return $places;
    }

    /** @return list<array{text: string, why: string, sure?: bool}> */
    private static function setAside(mixed $written): array
    {
        $aside = [];
        foreach (is_array($written) ? $written : [] as $one) {
            if (is_array($one) && is_string($one['text'] ?? null) && is_string($one['why'] ?? null)) {
                $aside[] = [
                    'text' => $one['text'],
                    'why' => $one['why'],
                    ...(($one['sure'] ?? true) === false ? ['sure' => false] : []),
                ];
            }
        }

        return $aside;
    }

    private static function style(): OneOf
    {
        return new OneOf(FamilyBook::keys(), 'There is no such family: choose one from the list.');
    }
}
