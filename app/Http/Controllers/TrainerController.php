<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Kitchen\Weighing;
use App\Models\Guess;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Vinculum\Palate\DilutionSeries;
use Vinculum\Palate\Staircase;
use Vinculum\Taste\Axis;

/** Teaches a tongue to hear the axes: glasses to mix, two of them at a time, and how fine it has become. */
final readonly class TrainerController
{
    public function __construct(private Weighing $weighing) {}

    public function show(): JsonResponse
    {
        return new JsonResponse(['axes' => array_map($this->axis(...), Axis::cases())]);
    }

    public function answer(Request $request): JsonResponse
    {
        $request->validate(
            ['axis' => ['required', Rule::enum(Axis::class)], 'level' => ['required', 'numeric', Rule::in(Staircase::LEVELS)], 'right' => ['required', 'boolean']],
            ['axis' => 'The axis is one of the five.', 'level' => 'The glasses are ' . implode(', ', Staircase::LEVELS) . ' steps apart.', 'right' => 'Say whether it was right.'],
        );
        Guess::query()->create(['axis' => (string) $request->string('axis'), 'level' => $request->float('level'), 'right' => $request->boolean('right')]);

        return $this->show();
    }

    public function reset(string $axis): JsonResponse
    {
        Guess::query()->where('axis', $axis)->delete();

        return $this->show();
    }

    /** @return array<string, mixed> */
    private function axis(Axis $axis): array
    {
        /** @var list<Guess> $guesses */
        $guesses = Guess::query()->where('axis', $axis->value)->orderBy('id')->get()->all();
        $answers = array_map(static fn(Guess $one): array => [$one->level, $one->right], $guesses);
        $staircase = Staircase::after($answers);
        $own = $staircase->ownStep();

        return [
            'axis' => $axis->value,
            'glasses' => array_map(static fn(array $glass): array => [...$glass, 'parts' => array_map(static fn(array $part): array => [...$part, 'grams' => round($part['grams'], 2)], $glass['parts'])], DilutionSeries::on($axis, $this->weighing->catalogue())),
            'next' => $staircase->next,
            'trials' => $staircase->trials,
            'reversals' => count($staircase->reversals),
            'own_step' => $own === null ? null : round($own, 2),
        ];
    }
}
