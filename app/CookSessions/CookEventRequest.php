<?php

declare(strict_types=1);

namespace App\CookSessions;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use Vinculum\CookSession\CookEvent;

/** Something that happened at the stove. Lines and steps are counted from 1 and 0, as the sheet has them. */
final class CookEventRequest extends FormRequest
{
    /** What a figure may be, and what is said when it is not. */
    private const FIGURES = [
        'line' => [1, 20_000, 'Say which line it is, by its number.'],
        'step' => [0, 20_000, 'Say which step it is, by its number.'],
        'grams' => [
            0,
            1_000_000,
            'A weight is a number of grams, nothing or more. Where the scale reads below zero, set it to nothing first.',
        ],
        'minutes' => [0.05, 30 * 1440, 'A timer runs for some minutes, up to 30 days.'],
        'timer' => [1, PHP_INT_MAX, 'Say which timer it is.'],
        'celsius' => [-30, 200, 'A sauce is between -30 and 200 °C: look at the probe, or type what you read.'],
        'ph' => [1, 11, 'No sauce has a pH below 1 or above 11: rinse the electrode, calibrate it, and measure again.'],
        'percent' => [0, 95, 'Dissolved solids are between 0 and 95 per cent.'],
        'event' => [1, PHP_INT_MAX, 'Say what is to be undone.'],
    ];

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
            'rebalanced.*.grams' => ['required', 'numeric', 'between:0,1000000'],
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
                [$least, $most, $says] = self::FIGURES[$name];
                $value = $this->input("figures.{$name}");
                if (
                    !is_int($value)
                    && !is_float($value)
                    && !(is_string($value) && is_numeric($value))
                    || !is_finite((float) $value)
                    || (float) $value < $least
                    || (float) $value > $most
                ) {
                    $checked->errors()->add($name, $says);
                }
            }
        });
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
        if ($this->kind() === 'ph' && is_numeric($this->input('figures.celsius'))) {
            $figures['celsius'] = $this->float('figures.celsius');
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
