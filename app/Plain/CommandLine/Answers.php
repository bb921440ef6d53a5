<?php

declare(strict_types=1);

namespace App\Plain\CommandLine;

use Vinculum\Balance\MeasuredYield;
use Vinculum\Balance\Treatment;
use Vinculum\CookSession\CookSheet;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Wish;
use Vinculum\Family\FamilyBook;
use Vinculum\Family\FamilyGuess;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Keeping\Keep;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Kitchen\Sauce;
use Vinculum\Recipe\Recipe;
use Vinculum\Report\AdviceReport;
use Vinculum\Report\BalanceReport;
use Vinculum\Report\ConversionReport;
use Vinculum\Report\CookSheetReport;
use Vinculum\Report\FamilyReport;
use Vinculum\Report\IngredientReport;
use Vinculum\Report\KeepReport;
use Vinculum\Report\ScaleReport;
use Vinculum\Report\SwapsReport;
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
        $sauce = self::weigh($call);
        $report = BalanceReport::of($sauce, self::notesOnRecipe($sauce));

        return new Answer($report, Printout::balance($sauce) . Printout::notes($report->notes));
    }

    private static function advise(Call $call): Answer
    {
        $sauce = self::weigh($call);
        // without a style, the family that it is taken for; with a word, the word alone
        $presumed = $sauce->family === null && $call->complaint() === null
            ? FamilyGuess::presumed($sauce->balance(), FamilyGuess::for($sauce->balance(), $sauce->title()))
            : null;
        $sauce = $presumed === null ? $sauce : $sauce->asOne(FamilyBook::get($presumed));
        $advice = (new Adviser($sauce))->answer(new Wish(
            $call->complaint(),
            $call->with($sauce->catalogue()),
            $call->most(),
            self::capacity($call),
            isFamilyGuessed: $presumed !== null,
        ));
        $report = AdviceReport::of(
            $advice,
            $sauce,
            [
                ...($presumed === null ? [] : [sprintf(
                    'No style is named: it is taken for %s, and told against that. Name another with --style.',
                    mb_strtolower(FamilyBook::get($presumed)->name),
                )]),
                ...$sauce->notes(),
                ...self::notesOnRecipe($sauce),
                ...$sauce->balance()->notes,
                ...$advice->notes,
            ],
            $presumed,
        );

        return new Answer($report, Printout::advice($advice, $sauce->balance()) . Printout::notes($report->notes));
    }

    private static function swap(Call $call): Answer
    {
        $sauce = self::weigh($call);
        $catalogue = $sauce->catalogue();
        [$number, $part] = $call->line();
        try {
            $line = SwapTask::lineNumbered($sauce->formula, $number, $part);
            $search = new SwapSearch($sauce, $line, $call->reason());
            $named = $call->substitute($catalogue);
            $swaps = $named === null
                ? $search->substitutes()
                : [
                    $search->with($catalogue->get($named)) ?? throw SwapFault::noAmountOf(
                        $catalogue->get($named)->name,
                        $number,
                    ),
                ];
        } catch (SwapFault $fault) {
            throw WrongCall::because('--line', (string) $number, $fault);
        }

        return new Answer(
            SwapsReport::of($sauce, $line, $swaps),
            Printout::swaps($sauce->formula->lines[$line]->written->text, $swaps),
        );
    }

    private static function convert(Call $call): Answer
    {
        try {
            $conversion = Conversion::of(self::weigh($call), $call->needs());
        } catch (SwapFault $fault) {
            throw WrongCall::because('FILE', '', $fault);
        }
        $report = ConversionReport::of($conversion);

        return new Answer($report, Printout::conversion($conversion, $report));
    }

    private static function scale(Call $call): Answer
    {
        $sauce = self::weigh($call);
        $scale = $call->scale($sauce);
        // at another size other amounts of water leave
        $report = ScaleReport::of(
            $scale,
            $sauce,
            [...$sauce->recipe->notes, ...self::notesOnStyle($sauce->recipe)],
        );

        return new Answer($report, Printout::scale($scale) . Printout::notes($report->notes));
    }

    private static function keep(Call $call): Answer
    {
        $sauce = self::weigh($call);
        $keep = Keep::of($sauce->balance());
        $report = KeepReport::of($keep, $sauce->recipe->told());

        return new Answer($report, Printout::keep($keep, $report->keepingClaim));
    }

    private static function cook(Call $call): Answer
    {
        $sauce = self::weigh($call);
        $scale = $call->isResized() ? $call->scale($sauce) : null;
        $sheet = CookSheet::of($sauce, $scale, !$call->hasNoScale());
        $report = CookSheetReport::of($sheet, self::notesOnStyle($sauce->recipe));

        return new Answer($report, Printout::cook($sauce->recipe->title, $sheet) . Printout::notes($report->notes));
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
        $styles = FamilyBook::all();

        return new Answer(['styles' => array_map(FamilyReport::of(...), $styles)], Printout::styles($styles));
    }

    private static function weigh(Call $call): Sauce
    {
        $kitchen = Kitchen::shipped();
        $recipe = $kitchen->read($call->contents())->ignoring($call->ignoredAxes())->in($call->measures());
        $ph = $call->measured('--ph', 1.0, 11.0);
        $sauce = $kitchen->weigh(
            $recipe->inStyle($call->style() ?? $recipe->style),
            new Treatment(false, $ph === null ? [] : [$ph], $call->measured('--water-activity', 0.0, 1.0)),
        );

        return $call->isMixed() ? $sauce->asMixed() : $sauce;
    }

    /** @return list<string> */
    private static function notesOnRecipe(Sauce $sauce): array
    {
        $notes = $sauce->recipe->isCookedWithoutYield() && !$sauce->balance()->isFinished
            ? ['The method cooks this, and no yield is given: the figures are of everything mixed. Add "Yield: 500 ml", as measured at the end, for those of the finished sauce.']
            : [];

        return [...$notes, ...self::notesOnStyle($sauce->recipe)];
    }

    /** @return list<string> */
    private static function notesOnStyle(Recipe $recipe): array
    {
        return $recipe->style !== null && !FamilyBook::has($recipe->style)
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
