<?php

declare(strict_types=1);

namespace App\Batches;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Vinculum\CookSession\CookEvent;
use Vinculum\CookSession\EventFigure;

/** Something that happened at the stove. Lines and steps are counted from 1 and 0, as the sheet has them. */
final class CookEventRequest extends FormRequest
{
    /** Figures that name something by its number. */
    private const COUNTED = [EventFigure::Line, EventFigure::Step, EventFigure::Timer, EventFigure::Event];

    /** A timer stopped before its start was stored is named by the key of that start. */
    protected function prepareForValidation(): void
    {
        if ($this->input('kind') === 'timer-stopped' && is_string($this->input('timer_key'))) {
            $timer = StoredCookEvent::query()->where(
                'batch_id',
                $this->route('batch'),
            )->where('key', $this->input('timer_key'))->value('id');
            $this->merge(['figures' => ['timer' => $timer ?? 0]]);
        }
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'kind' => ['required', 'string', Rule::in(array_keys(CookEvent::kinds()))],
            'figures' => ['sometimes', 'array', 'max:10'],
            'rebalanced' => ['sometimes', 'array', 'list', 'max:1000'],
            'rebalanced.*.line' => ['required', 'integer', 'between:1,20000'],
            'rebalanced.*.grams' => ['required', 'numeric', self::weight(...)],
            'words' => ['sometimes', 'nullable', 'string', 'max:500'],
            'at' => ['sometimes', 'nullable', 'numeric'],
            'key' => ['sometimes', 'nullable', 'string', 'max:60'],
            'timer_key' => ['sometimes', 'nullable', 'string', 'max:60'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'kind' => 'What happened is one of ' . implode(', ', array_keys(CookEvent::kinds())) . '.',
            'figures' => 'The figures are not named numbers.',
            'rebalanced' => 'What was rebalanced is a list of lines and grams.',
            'rebalanced.*.line' => 'What was rebalanced is a list of lines and grams.',
            'rebalanced.*.grams' => 'What was rebalanced is a list of lines and grams.',
            'rebalanced.*' => 'What was rebalanced is a list of lines and grams.',
            'words' => 'That is longer than 500 letters: shorten it.',
            'at' => 'When it happened is a number of seconds.',
            'key' => 'The key is longer than 60 letters.',
            'timer_key' => 'The key is longer than 60 letters.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $checked): void {
            $kind = $this->input('kind');
            foreach (self::needs($kind) as $name) {
                $figure = EventFigure::from($name);
                $value = $this->input("figures.{$name}");
                $isNumber = is_int($value) || is_float($value) || is_string($value) && is_numeric($value);
                $isCounted = in_array($figure, self::COUNTED, true);
                $number = $isNumber ? (float) $value - ($name === 'line' ? 1.0 : 0.0) : NAN;
                if (!$figure->isFit($number) || $isCounted && fmod($number, 1.0) !== 0.0) {
                    $checked->errors()->add($name, $figure->says());
                }
            }
        });
    }

    /** @param \Closure(string): mixed $refuse */
    private static function weight(string $field, mixed $value, \Closure $refuse): void
    {
        if (is_numeric($value) && !EventFigure::Grams->isFit((float) $value)) {
            $refuse(EventFigure::Grams->says());
        }
    }

    /** @return list<string> the figures that come with an event of a kind */
    private static function needs(mixed $kind): array
    {
        $class = is_string($kind) ? CookEvent::kinds()[$kind] ?? null : null;

        return $class === null ? [] : $class::NEEDS;
    }

    /** @return array<string, float> lines counted from 0 */
    public function figures(): array
    {
        $figures = [];
        foreach (self::needs($this->kind()) as $name) {
            $figures[$name] = $this->float("figures.{$name}") - ($name === 'line' ? 1.0 : 0.0);
        }
        if (
            $this->kind() === 'measured'
            && (float) (is_numeric($this->input('figures.planned')) ? $this->input('figures.planned') : 0) > 0.0
        ) {
            $figures['planned'] = 1.0;
        }
        $celsius = $this->input('figures.celsius');
        if ($this->kind() === 'ph' && is_numeric($celsius) && EventFigure::Celsius->isFit((float) $celsius)) {
            $figures['celsius'] = (float) $celsius;
        }

        return $figures;
    }

    /** @return array<int, float> grams by line, counted from 0 */
    public function grams(): array
    {
        $grams = [];
        foreach ((array) $this->input('rebalanced', []) as $one) {
            if (is_array($one) && is_numeric($one['line'] ?? null) && is_numeric($one['grams'] ?? null)) {
                $grams[(int) $one['line'] - 1] = (float) $one['grams'];
            }
        }

        return $grams;
    }

    public function kind(): string
    {
        return (string) $this->string('kind');
    }

    public function words(): ?string
    {
        return $this->filled('words') ? (string) $this->string('words') : null;
    }

    public function key(): ?string
    {
        return $this->filled('key') ? (string) $this->string('key') : null;
    }

    /**
     * When it happened: what was kept back while the server was away is sent later, but nothing comes from the future.
     */
    public function at(float $now): float
    {
        return $this->filled('at') ? min($now, max($now - 30.0 * 86_400.0, $this->float('at'))) : $now;
    }
}
