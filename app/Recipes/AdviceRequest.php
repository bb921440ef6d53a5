<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\OneOf;
use Illuminate\Validation\Rule;
use Vinculum\Correction\Complaint;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetShift;
use Vinculum\Sensory\TargetWindow;
use Vinculum\Sensory\Taste;

/** A formula with what a correction may do. */
final class AdviceRequest extends FormulaRequest
{
    public function rules(): array
    {
        return [
            ...parent::rules(),
            'with' => ['sometimes', 'nullable', 'array', 'list', 'max:40'],
            'with.*' => [
                'string',
                new OneOf(
                    Catalogue::shipped()->keys(),
                    'One of the things that may be added is not in the catalogue.',
                ),
            ],
            'most' => ['sometimes', 'nullable', 'integer', 'between:1,3'],
            'complaint' => [
                'sometimes',
                'nullable',
                'string',
                new OneOf(Complaint::keys(), 'Unknown complaint.'),
            ],
            'target' => ['sometimes', 'nullable', 'array:sweet,sour,salt,umami,heat'],
            'target.*' => ['nullable', 'array', 'list', 'size:2', self::rightWayRound(...)],
            'target.*.*' => ['numeric', 'between:0,20000000'],
            'liked' => ['sometimes', 'nullable', 'array', 'list', 'max:1000'],
            'liked.*' => ['string', 'max:10000'],
            'move' => ['sometimes', 'nullable', 'string', 'max:60', self::knownMove(...)],
            'pull' => ['sometimes', 'nullable', 'array:axis,steps'],
            'pull.axis' => ['required_with:pull', 'string', Rule::in(array_column(Axis::cases(), 'value'))],
            'pull.steps' => ['required_with:pull', 'numeric', 'between:0,200'],
            'is_presumed' => ['sometimes', 'boolean'],
            'capacity_ml' => ['sometimes', 'nullable', 'numeric', 'between:0.001,1000000'],
        ];
    }

    public function messages(): array
    {
        return [
            ...parent::messages(),
            'with.*' => 'One of the things that may be added is not in the catalogue.',
            'with' => 'What may be added is a list of at most 40 ingredients.',
            'most' => 'A correction combines 1, 2 or 3 additions.',
            'target.array' => 'A target is a window on some of the axes sweet, sour, salt, umami and heat.',
            'target.*.size' => 'A window is two numbers, the lower first.',
            'target.*.array' => 'A window is two numbers, the lower first.',
            'target.*.list' => 'A window is two numbers, the lower first.',
            'target.*.*.numeric' => 'The edges of a window are numbers, at least 0.',
            'target.*.*.between' => 'The edges of a window are numbers, at least 0.',
            'liked.array' => 'The batch you liked is a list of its lines.',
            'liked.list' => 'The batch you liked is a list of its lines.',
            'pull' => 'What is pulled is an axis, and its place in steps from 0 to 200.',
            'pull.*' => 'What is pulled is an axis, and its place in steps from 0 to 200.',
            'is_presumed' => 'Whether the family is only presumed is true or false.',
            'capacity_ml' => 'The capacity is a volume in millilitres, above zero.',
        ];
    }

    /** @return list<string>|null */
    public function with(): ?array
    {
        $keys = $this->input('with');

        return is_array($keys) ? array_values(array_filter($keys, is_string(...))) : null;
    }

    /** Where a mark is held that is being pulled, everything else as it stands; null where none is. */
    public function pulled(Taste $now): ?Target
    {
        $axis = Axis::tryFrom((string) $this->string('pull.axis'));

        return $axis === null ? null : Target::pulling($now, $axis, $this->float('pull.steps'));
    }

    public function most(): int
    {
        return $this->integer('most', 3) ?: 3;
    }

    public function complaint(): ?Complaint
    {
        return $this->filled('complaint') ? Complaint::named((string) $this->string('complaint')) : null;
    }

    /** A target of the cook's own, or null. */
    public function target(): ?Target
    {
        $windows = [];
        foreach (Axis::cases() as $axis) {
            $edges = $this->input("target.{$axis->value}");
            if (is_array($edges) && is_numeric($edges[0] ?? null) && is_numeric($edges[1] ?? null)) {
                $windows[$axis->value] = TargetWindow::between((float) $edges[0], (float) $edges[1]);
            }
        }

        return $windows === [] ? null : Target::of($windows);
    }

    /** The lines of a batch that was liked, to aim at instead of the style; null when none is named. */
    public function liked(): ?Recipe
    {
        $lines = $this->input('liked');
        $texts = is_array($lines) ? array_values(array_filter($lines, is_string(...))) : [];

        return $texts === []
            ? null
            : new Recipe(lines: RecipeLine::numbered($texts), measures: $this->edit()->measures);
    }

    /** Words that move the target, or null. */
    public function wish(): ?TargetShift
    {
        return $this->filled('move') ? TargetShift::fromWords((string) $this->string('move')) : null;
    }

    private static function rightWayRound(string $field, mixed $value, \Closure $fail): void
    {
        if (
            is_array($value)
            && is_numeric($value[0] ?? null)
            && is_numeric($value[1] ?? null)
            && $value[0] > $value[1]
        ) {
            $fail(
                'The window of ' . substr($field, strlen('target.')) . ' is turned round: write the lower edge first.',
            );
        }
    }

    private static function knownMove(string $field, mixed $value, \Closure $fail): void
    {
        if (is_string($value) && $value !== '' && TargetShift::fromWords($value) === null) {
            $fail("\"{$value}\" is no move that is known: try \"a little sharper\" or \"less salty\".");
        }
    }

    public function capacity(): ?float
    {
        return $this->filled('capacity_ml') ? $this->float('capacity_ml') : null;
    }
}
