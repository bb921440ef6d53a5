<?php

declare(strict_types=1);

namespace App\Recipes;

use App\Http\Answers;
use App\Http\Faults;
use Illuminate\Http\JsonResponse;
use Vinculum\Correction\JndAdjustment;
use Vinculum\Correction\RatioAdjustment;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Recipe\Resolution\Completion;
use Vinculum\Recipe\Resolution\NameReading;
use Vinculum\Recipe\Writing\AmountWriter;

/**
 * Helps with writing a line: what it may be about to name, and its amount a little up or down.
 *
 * @phpstan-import-type NumberedLine from RecipeLine
 *
 * @phpstan-type Suggestions array{suggestions: list<array{text: string, name: string, own: bool}>}
 * @phpstan-type Nudged array{text: string}
 * @phpstan-type Rewritten array{recipe_lines: list<NumberedLine>}
 */
final readonly class WritingController
{
    public function __construct(private HomeKitchen $homeKitchen) {}

    #[Answers('Suggestions')]
    public function suggest(SuggestRequest $request, SauceParts $parts): JsonResponse
    {
        $text = (string) $request->string('text');
        $catalogue = $this->homeKitchen->catalogue();
        $suggestions = array_map(
            static fn(Completion $one): array => [
                'text' => $one->text,
                'name' => $one->ingredient->name,
                'own' => $one->ingredient->isOwn(),
            ],
            Completion::of($text, $catalogue, $request->measures()),
        );
        $name = (new LineGrammar($request->measures(), new NameReading($catalogue)))->read($text)->first()->name;
        $isBegun = mb_strlen($name) >= 2 && str_ends_with(rtrim($text), $name);
        foreach ($isBegun ? $parts->titlesStartingWith($name, $request->sauce()) : [] as $title) {
            array_unshift(
                $suggestions,
                ['text' => mb_substr(rtrim($text), 0, -mb_strlen($name)) . $title, 'name' => $title, 'own' => true],
            );
        }

        return new JsonResponse(['suggestions' => array_slice($suggestions, 0, 6)]);
    }

    #[Answers('Nudged')]
    public function nudge(NudgeRequest $request): JsonResponse
    {
        $edit = $request->edit();
        $direction = $request->direction();
        $formula = $this->homeKitchen->formula($edit);
        $line = $formula->lineOf($request->line()) ?? 0;
        $text = $request->isByStep()
            ? JndAdjustment::of($formula, $line, $direction, $edit->measures)
            : AmountWriter::notched($formula->lines[$line], $direction, $edit->measures);

        return new JsonResponse(['text' => $formula->edited([$line => $text])[$request->line()] ?? $text]);
    }

    #[Answers('Rewritten')]
    public function ratio(RatioRequest $request): JsonResponse
    {
        $edit = $request->edit();
        $formula = $this->homeKitchen->formula($edit);
        try {
            $direction = $request->direction();
            $edits = $direction === null
                ? RatioAdjustment::to($formula, $request->ratio(), $edit->measures)
                : RatioAdjustment::notched($formula, $direction, $edit->measures);
        } catch (\InvalidArgumentException $fault) {
            throw Faults::in('sweet_to_sour', $fault);
        }

        return new JsonResponse(['recipe_lines' => array_map(
            static fn(RecipeLine $line): array => $line->written(),
            $formula->rewritten($edits),
        )]);
    }
}
