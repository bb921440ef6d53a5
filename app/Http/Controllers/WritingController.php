<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\NudgeRequest;
use App\Http\Requests\SuggestRequest;
use App\Kitchen\SauceParts;
use App\Kitchen\Weighing;
use Illuminate\Http\JsonResponse;
use Vinculum\Correction\StepNudge;
use Vinculum\Reading\AmountWriter;
use Vinculum\Reading\Completion;
use Vinculum\Reading\LineGrammar;

/** Helps with writing a line: what it may be about to name, and its amount a little up or down. */
final readonly class WritingController
{
    public function __construct(private Weighing $weighing) {}

    public function suggest(SuggestRequest $request, SauceParts $parts): JsonResponse
    {
        $text = (string) $request->string('text');
        $catalogue = $this->weighing->catalogue();
        $suggestions = array_map(static fn(Completion $one): array => ['text' => $one->text, 'name' => $one->ingredient->name, 'own' => $one->ingredient->isOwn()], Completion::of($text, $catalogue, $request->measures()));
        $name = (new LineGrammar($request->measures()))->read($text)->name;
        foreach (mb_strlen($name) < 2 || !str_ends_with(rtrim($text), $name) ? [] : $parts->titlesStartingWith($name, $request->sauce()) as $title) {
            array_unshift($suggestions, ['text' => mb_substr(rtrim($text), 0, -mb_strlen($name)) . $title, 'name' => $title, 'own' => true]);
        }

        return new JsonResponse(['suggestions' => array_slice($suggestions, 0, 6)]);
    }

    public function nudge(NudgeRequest $request): JsonResponse
    {
        $edit = $request->edit();
        [$line, $direction] = [$request->line(), $request->direction()];
        $formula = $this->weighing->formula($edit);
        $text = $request->isByStep()
            ? StepNudge::of($formula, $line, $direction, $edit->measures)
            : AmountWriter::notched($formula->lines[$line], $direction, $edit->measures);

        return new JsonResponse(['text' => $text]);
    }
}
