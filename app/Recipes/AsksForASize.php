<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Foundation\Http\FormRequest;
use Vinculum\Scaling\RequestedSize;
use Vinculum\Scaling\TargetSize;

/**
 * A size is one of a factor, containers or an amount, portions, or what there is of one thing.
 *
 * @phpstan-require-extends FormRequest
 */
trait AsksForASize
{
    /** @return array<string, list<mixed>> */
    private static function sizeRules(): array
    {
        return [
            'factor' => ['sometimes', 'nullable', 'numeric'],
            'to' => ['sometimes', 'nullable', 'string', 'max:200'],
            'have' => ['sometimes', 'nullable', 'string', 'max:400'],
            'serves' => ['sometimes', 'nullable', 'numeric'],
            'portion' => ['sometimes', 'nullable', 'string', 'max:100'],
            'head_space' => ['sometimes', 'nullable', 'numeric', 'between:0,0.5'],
            'loss' => ['sometimes', 'nullable', 'numeric', 'between:0,0.5'],
            'hold_back' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    private static function sizeMessages(): array
    {
        return [
            'factor' => 'A factor is a number, such as 2.5.',
            'to' => 'Say it as "6 x 250 ml" or "1.5 l".',
            'have' => 'Say what there is as "gooseberries 340 g".',
            'serves' => 'How many it serves is a number.',
            'portion' => 'A portion is an amount such as "30 ml".',
            'head_space' => 'The head space is a share from 0 to a half.',
            'loss' => 'What stays in the pan is a share from 0 to a half.',
            'hold_back' => 'Say whether strong things are held back.',
        ];
    }

    /** The size asked for; null where none is. */
    private function size(): ?RequestedSize
    {
        $text = function (string $field): ?string {
            $value = $this->input($field);

            return is_scalar($value) && trim((string) $value) !== '' ? (string) $value : null;
        };
        $share = fn(string $field, float $usual): float => $this->filled($field) ? $this->float($field) : $usual;
        $asked = [$text('to'), $text('have'), $text('serves'), $text('portion'), $text('factor')];

        return array_filter($asked, is_string(...)) === []
            ? null
            : new RequestedSize(
                ...[
                    ...$asked,
                    $share('head_space', TargetSize::HEAD_SPACE),
                    $share('loss', 0.0),
                    $this->boolean('hold_back'),
                ],
            );
    }
}
