<?php

declare(strict_types=1);

namespace App\Console;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Balance\Treatment;
use Vinculum\Cooking\CookedStage;
use Vinculum\Cooking\KeepingClaim;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\Pan;
use Vinculum\Cooking\StagedCook;
use Vinculum\CookSession\CookSheet;
use Vinculum\Correction\CorrectionSetup;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Keeping\Cautions;
use Vinculum\Keeping\Keep;
use Vinculum\Recipe\Recipe;
use Vinculum\Report\AdviceReport;
use Vinculum\Report\BalanceReport;
use Vinculum\Report\ConversionReport;
use Vinculum\Report\CookSheetReport;
use Vinculum\Report\IngredientReport;
use Vinculum\Report\KeepReport;
use Vinculum\Report\ScaleReport;
use Vinculum\Report\StyleReport;
use Vinculum\Report\SwapsReport;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaleSetting;
use Vinculum\Style\FamilyGuess;
use Vinculum\Style\StyleBook;
use Vinculum\Style\StyleFamily;
use Vinculum\Substitution\Conversion;
use Vinculum\Substitution\SwapFault;
use Vinculum\Substitution\SwapSearch;
use Vinculum\Substitution\SwapTask;

/** Each command's answer, from the core. */
final class Answers
{
    private const MOST_FOUND = 20;

    public static function to(Call $call): Answer
    {
        return match ($call->command) {
            'balance' => self::balance($call),
            'advise' => self::advise($call),
            'swap' => self::swap($call),
            'convert' => self::convert($call),
            'scale' => self::scale($call),
            'keep' => self::keep($call),
            'cook' => self::cook($call),
            'ingredients' => self::ingredients($call),
            'styles' => self::styles(),
            default => throw WrongCall::unknownCommand($call->command),
        };
    }

    private static function balance(Call $call): Answer
    {
        [$recipe, $style, $balance, $stages, $pan] = self::weigh($call);
        $report = BalanceReport::of(
            $balance,
            $recipe->title === '' ? null : $recipe->title,
            $style,
            $call->measures(),
            stages: $stages,
            recipe: $recipe,
            notes: self::notesOnRecipe($recipe, $call, $balance->isFinished),
            pan: $call->isMixed() ? null : $pan,
        );

        return new Answer(
            $report,
            Printout::balance($balance, $report->title, $style) . Printout::notes($report->notes),
        );
    }

    private static function advise(Call $call): Answer
    {
        [$recipe, $style, $balance] = self::weigh($call);
        $catalogue = Catalogue::shipped();
        // without a style, the family that it is taken for; with a word, the word alone
        $title = $recipe->title === '' ? null : $recipe->title;
        $presumed = $style === null && $call->complaint() === null
            ? FamilyGuess::presumed($balance, FamilyGuess::for($balance, $title))
            : null;
        $style ??= $presumed === null ? null : StyleBook::get($presumed)->lettingGo($recipe->letGo);
        $with = $call->with($catalogue);
        $advice = CorrectionSetup::for(
            $balance,
            $style,
            $call->complaint(),
            $with === null ? null : CorrectionSetup::named($with, $catalogue),
            $call->most(),
            self::capacity($call),
            $catalogue,
            $call->measures(),
        );
        $report = AdviceReport::of(
            $advice,
            $balance,
            $call->measures(),
            [
                ...($presumed === null ? [] : [sprintf(
                    'No style is named: it is taken for %s, and told against that. Name another with --style.',
                    mb_strtolower(StyleBook::get($presumed)->name),
                )]),
                ...self::notesOnRecipe($recipe, $call, $balance->isFinished),
                ...$balance->notes,
                ...$advice->notes,
            ],
            $presumed,
        );

        return new Answer($report, Printout::advice($advice, $balance) . Printout::notes($report->notes));
    }

    private static function swap(Call $call): Answer
    {
        [, $style, $balance] = self::weigh($call);
        $catalogue = Catalogue::shipped();
        $formula = $balance->formula;
        [$row, $part] = $call->line();
        try {
            $line = SwapTask::lineOf($formula, $row, $part);
            $search = new SwapSearch($formula, $line, $call->reason(), $catalogue, $call->measures());
            $named = $call->substitute($catalogue);
            $swaps = $named === null
                ? $search->substitutes()
                : [
                    $search->with($catalogue->get($named)) ?? throw SwapFault::noAmountOf(
                        $catalogue->get($named)->name,
                        $row + 1,
                    ),
                ];
        } catch (SwapFault $fault) {
            throw WrongCall::badValue('--line', (string) ($row + 1), rtrim($fault->getMessage(), '.'));
        }

        return new Answer(
            SwapsReport::of($formula, $line, $swaps, $style?->target, $call->measures()),
            Printout::swaps($formula->lines[$line]->written->text, $swaps),
        );
    }

    private static function convert(Call $call): Answer
    {
        [, $style, $balance] = self::weigh($call);
        try {
            $conversion = Conversion::of(
                $balance->formula,
                $call->needs(),
                Catalogue::shipped(),
                $call->measures(),
            );
        } catch (SwapFault $fault) {
            throw WrongCall::badValue('FILE', '', rtrim($fault->getMessage(), '.'));
        }
        $report = ConversionReport::of($balance->formula, $conversion, $style?->target, $call->measures());

        return new Answer($report, Printout::conversion($balance->formula, $conversion, $report));
    }

    private static function scale(Call $call): Answer
    {
        [$recipe, $style, $balance] = self::weigh($call);
        $wanted = $call->wanted($balance->formula, Catalogue::shipped(), $recipe->servings);
        $scale = Scale::of(
            $balance->formula,
            $wanted,
            new ScaleSetting($call->measures(), $style?->target, $recipe->pan, implode(' ', $recipe->method)),
        );
        $report = ScaleReport::of(
            $scale,
            $style?->target,
            $call->measures(),
            [...$recipe->notes, ...self::notesOnStyle($recipe, $call)],
        );

        return new Answer($report, Printout::scale($scale) . Printout::notes($report->notes));
    }

    private static function keep(Call $call): Answer
    {
        [$recipe, , $balance] = self::weigh($call);
        $keep = Keep::of($balance);
        $report = KeepReport::of($keep, $recipe->told());

        return new Answer($report, Printout::keep($keep, $report->keepingClaim));
    }

    private static function cook(Call $call): Answer
    {
        [$recipe, $style, $balance, , $pan] = self::weigh($call);
        $scale = null;
        if ($call->isResized()) {
            $scale = Scale::of(
                $balance->formula,
                $call->wanted($balance->formula, Catalogue::shipped(), $recipe->servings),
                new ScaleSetting($call->measures(), $style?->target, $recipe->pan, implode(' ', $recipe->method)),
            );
            [, $balance] = $scale->balances();
            $staged = self::stagedCook($scale->after->uncooked(), $recipe);
            [$pan, $recipe] = [$staged->pan, $recipe->withNotes($staged->notes)];
        }
        $sheet = CookSheet::of($balance, $recipe->method, $scale, $pan, $call->measures(), !$call->hasNoScale());
        $report = CookSheetReport::of(
            $sheet,
            $scale,
            KeepingClaim::in($recipe->told()),
            [...Cautions::for($balance), ...Keep::of($balance)->cautions],
            [...$recipe->notes, ...self::notesOnStyle($recipe, $call)],
        );

        return new Answer($report, Printout::cook($recipe->title, $sheet, $report) . Printout::notes($report->notes));
    }

    private static function ingredients(Call $call): Answer
    {
        $catalogue = Catalogue::shipped();
        $search = $call->search();
        $found = $search === null
            ? $catalogue->all()
            : array_map(
                static fn($match): Ingredient => $catalogue->get($match->key),
                $catalogue->names()->find($search, self::MOST_FOUND),
            );

        return new Answer(
            ['ingredients' => array_map(IngredientReport::of(...), $found)],
            Printout::ingredients($found),
        );
    }

    private static function styles(): Answer
    {
        $styles = StyleBook::all();

        return new Answer(['styles' => array_map(StyleReport::of(...), $styles)], Printout::styles($styles));
    }

    private static function treatment(Recipe $recipe, Call $call): Treatment
    {
        $ph = $call->measured('--ph', 1.0, 11.0);

        return MethodReader::treatment(
            $recipe->method,
            new Treatment(false, $ph === null ? [] : [$ph], $call->measured('--water-activity', 0.0, 1.0)),
            $recipe->prose(),
        );
    }

    private static function stagedCook(Formula $formula, Recipe $recipe): StagedCook
    {
        return StagedCook::of(
            $formula,
            $recipe->pan === null ? null : Pan::parse($recipe->pan),
            $recipe->method,
            null,
            $recipe->stages(),
        );
    }

    /** @return array{Recipe, StyleFamily|null, Balance, list<CookedStage>, Pan|null} */
    private static function weigh(Call $call): array
    {
        $recipe = RecipeReader::read($call->contents())->lettingGo($call->letGo());
        $texts = $recipe->ingredientTexts();
        $whole = Formula::fromTexts($texts, Catalogue::shipped(), $call->measures(), $recipe->yield);
        $formula = $whole->ofIngredients();
        $recipe = $recipe->withNotes($whole->sizesSaid());
        $cook = self::stagedCook($formula, $recipe);
        $key = $call->style() ?? $recipe->style;
        $style = $key !== null && StyleBook::has($key)
            ? StyleBook::get($key)->lettingGo($recipe->letGo)
            : null;

        return [
            // at another size other amounts of water leave
            $call->command === 'scale' || $call->isResized() ? $recipe : $recipe->withNotes($cook->notes),
            $style,
            Balance::of(
                $call->isMixed() ? $formula->uncooked() : $cook->formula,
                self::treatment($recipe, $call),
            ),
            $call->isMixed() ? [] : $cook->stages,
            $cook->pan,
        ];
    }

    /** @return list<string> */
    private static function notesOnRecipe(Recipe $recipe, Call $call, bool $isFinished): array
    {
        $notes = $recipe->notes;
        if ($recipe->isCookedWithoutYield() && !$isFinished) {
            $notes[] = 'The method cooks this, and no yield is given: the figures are of everything mixed. Add "Yield: 500 ml", as measured at the end, for those of the finished sauce.';
        }

        return [...$notes, ...self::notesOnStyle($recipe, $call)];
    }

    /** @return list<string> */
    private static function notesOnStyle(Recipe $recipe, Call $call): array
    {
        return $call->style() === null && $recipe->style !== null && !StyleBook::has($recipe->style)
            ? [
                "There is no style \"{$recipe->style}\", so nothing is compared with one; ./vinculum styles lists those there are.",
            ]
            : [];
    }

    private static function capacity(Call $call): ?float
    {
        $text = $call->capacity();
        if ($text === null) {
            return null;
        }

        return MeasuredYield::parse($text, $call->measures())?->millilitres->value ?? throw WrongCall::badValue(
            '--capacity',
            $text,
            'name a volume such as "2 l"',
        );
    }
}
