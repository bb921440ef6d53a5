<?php

declare(strict_types=1);

namespace App\Plain\CommandLine;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Estimate;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Solids;
use Vinculum\Chemistry\Volume;
use Vinculum\CookSession\CookSheet;
use Vinculum\Correction\Addition;
use Vinculum\Correction\Advice;
use Vinculum\Correction\LateFacts;
use Vinculum\Family\Family;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Keeping\Cautions;
use Vinculum\Keeping\Keep;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Report\ConversionReport;
use Vinculum\Scaling\Scale;
use Vinculum\Sensory\Aim;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Verdict;
use Vinculum\Substitution\Conversion;
use Vinculum\Substitution\Swap;
use Vinculum\Substitution\SwapAddition;

/** The answers as text for a person. */
final class Printout
{
    public static function balance(Sauce $sauce): string
    {
        $balance = $sauce->balance();
        $text = ($sauce->title() ?? 'Untitled') . ($sauce->family === null ? '' : " ({$sauce->family->name})") . "\n\n";
        foreach ($balance->formula->lines as $line) {
            $grams = $line->grams === null ? '—' : KitchenNumber::grams($line->grams->value);
            $status = $line->status === LineStatus::Measured ? '' : "  [{$line->status->value}]";
            $text .= self::right($grams, 9) . '  ' . self::left(
                $line->ingredient->name ?? '?',
                22,
            ) . " {$line->text()}{$status}\n";
        }
        $mixture = $balance->mixture;
        $text .= sprintf(
            "\n%s, %s %s; %.0f %% dissolved solids, %.0f %% fat; %s\n\n%s",
            KitchenNumber::grams($mixture->grams()),
            KitchenNumber::millilitres(Volume::millilitres($mixture)),
            $balance->isFinished ? 'finished' : 'mixed',
            Solids::dissolvedPercent($mixture),
            $mixture->percent(Component::Fat),
            $balance->body->class,
            self::axes($balance->axes, $sauce->aim),
        );
        $text .= $balance->ph === null
            ? ''
            : sprintf("\npH about %.1f (%.1f to %.1f)", $balance->ph->value, $balance->ph->low, $balance->ph->high);
        $whole = $sauce->aim->onTheWhole($balance->taste);
        $text .= ($whole === '' ? '' : "\n" . mb_strtoupper(mb_substr($whole, 0, 1)) . mb_substr($whole, 1)) . "\n" . self::paragraph('Holds ', $balance->allergens()) . self::paragraph('Fits ', $balance->diets());
        foreach (Cautions::for($balance) as $caution) {
            $text .= strtoupper($caution->severity) . ": {$caution->text} ({$caution->source})\n";
        }

        return $text;
    }

    public static function keep(Keep $keep, ?string $claim = null): string
    {
        $text = match (true) {
            $keep->storage === 'serve-at-once' => "Serve at once: it does not keep.\n",
            default => sprintf(
                "In the fridge %.0f to %.0f days%s. Never at room temperature.\n",
                $keep->days['low'],
                $keep->days['high'],
                $keep->freezerMonths === null
                    ? ', not in the freezer'
                    : sprintf(', in the freezer %.0f months', $keep->freezerMonths),
            ),
        };
        foreach ([
            ['', $keep->reasons],
            ['Cooks say: ', $keep->traditions],
            ['To do: ', $keep->asks],
            ['The recipe itself says: ', $claim === null ? [] : [$claim]],
        ] as [$before, $sentences]) {
            foreach ($sentences as $sentence) {
                $text .= "- {$before}{$sentence}\n";
            }
        }
        foreach ($keep->cautions as $caution) {
            $text .= strtoupper($caution->severity) . ": {$caution->text} ({$caution->source})\n";
        }

        return $text;
    }

    public static function advice(Advice $advice, Balance $balance): string
    {
        $text = self::axes($balance->axes, $advice->aim) . sprintf("\n%.1f steps off.\n\n", $advice->distanceBefore);
        foreach ($advice->corrections as $index => $correction) {
            $additions = array_map(
                static fn(Addition $one): string => sprintf(
                    '%s %s (%s%s)',
                    $one->measure->words(),
                    $one->ingredient->name,
                    KitchenNumber::grams($one->grams),
                    LateFacts::moment($one->ingredient, $balance->treatment) === 'at-the-end' ? ', at the end' : '',
                ),
                $correction->additions,
            );
            $text .= sprintf(
                '%d. %s: %.1f steps off afterwards',
                $index + 1,
                $additions === [] ? 'Nothing is added' : implode(' + ', $additions),
                $correction->distanceAfter,
            );
            $text .= ($correction->sideEffects === [] ? '' : '; ' . implode(', ', $correction->sideEffects)) . "\n";
            $text .= "   {$correction->why}\n" . ($correction->does === null ? '' : "   {$correction->does->text}\n");
        }
        if (($advice->besides->corrections ?? []) !== []) {
            $text .= "\nAnd while you are at it, for the family: "
                . implode(' + ', array_map(
                    static fn(Addition $one): string => "{$one->measure->words()} {$one->ingredient->name}",
                    $advice->besides->corrections[0]->additions ?? [],
                )) . ".\n";
        }

        return $text;
    }

    public static function conversion(Conversion $conversion, ConversionReport $report): string
    {
        $text = $conversion->swaps === [] && $conversion->stuck === [] ? "Already fits: nothing to swap.\n" : '';
        foreach ($report->swaps as $one) {
            $text .= mb_strtolower((string) $one->replaced) . " → {$one->candidate->substitute->measure} "
                . mb_strtolower($one->candidate->substitute->name)
                . ($one->candidate->note === null ? '' : " ({$one->candidate->note})") . "\n";
        }
        foreach ($conversion->stuck as $line => $why) {
            $text .= "{$conversion->before->formula->lines[$line]->written->text}: {$why}\n";
        }

        return $text . "\n" . implode("\n", array_filter($report->text, static fn(string $line): bool => $line !== ''))
            . sprintf("\n\n%.1f steps different.\n", $report->residualSteps)
            . self::notes($report->notes);
    }

    /** @param list<Swap> $swaps */
    public static function swaps(string $line, array $swaps): string
    {
        $text = $swaps === [] ? "Nothing that is known does the work of \"{$line}\".\n" : "Instead of {$line}:\n\n";
        foreach ($swaps as $index => $swap) {
            $also = array_map(
                static fn(SwapAddition $one): string => ($one->grams < 0.0 ? 'less ' : 'and ')
                    . "{$one->measure->words()} {$one->ingredient->name}",
                $swap->compensations,
            );
            $text .= sprintf(
                '%d. %s',
                $index + 1,
                implode(
                    ', ',
                    [
                        $swap->grams > 0.0
                            ? "{$swap->measure->words()} {$swap->ingredient->name} (" . KitchenNumber::grams($swap->grams) . ')'
                            : "{$swap->ingredient->name}, {$swap->measure->words()}",
                        ...$also,
                    ],
                ),
            );
            $text .= ($swap->grams > 0.0 ? sprintf(": %.1f steps different\n", $swap->taste->residual) : "\n") . ($swap->notes === [] ? '' : '   ' . implode('; ', $swap->notes) . "\n");
            $text .= self::paragraph('   adds ', $swap->suitability->allergensAdded) . self::paragraph(
                '   no longer holds ',
                $swap->suitability->allergensRemoved,
            ) . self::paragraph('   now fits ', $swap->suitability->dietsGained);
        }

        return $text;
    }

    public static function scale(Scale $scale): string
    {
        $text = sprintf("%s times the recipe\n\n", KitchenNumber::plain($scale->factor, 3));
        foreach ($scale->lines as $line) {
            $text .= self::right(
                $line->measure ?? ($line->grams === null ? '—' : KitchenNumber::grams($line->grams)),
                24,
            )
                . '  '
                . $line->line->called()
                . ($line->note === null ? '' : "\n" . str_repeat(' ', 26) . $line->note)
                . "\n";
        }
        $text .= sprintf(
            "\n%s, %s before cooking\n",
            KitchenNumber::grams($scale->mixed->grams()),
            KitchenNumber::millilitres(Volume::millilitres($scale->mixed)),
        );
        foreach ($scale->fill as $one) {
            $text .= sprintf(
                "%d × %s: %s in each, %s left over\n",
                $one['count'],
                KitchenNumber::millilitres($one['container_ml']),
                KitchenNumber::millilitres($one['filled_ml']),
                KitchenNumber::millilitres($one['left_over_ml']),
            );
        }
        if ($scale->cook !== null) {
            $text .= sprintf(
                "Boil off %s, about %.0f minutes (%.0f to %.0f); the sauce then weighs %s\n",
                KitchenNumber::grams($scale->cook['evaporate_grams']),
                $scale->cook['minutes']['value'],
                $scale->cook['minutes']['low'],
                $scale->cook['minutes']['high'],
                KitchenNumber::grams($scale->cook['pan_reads_grams']),
            );
        }

        return $text;
    }

    /** The sheet as it is laid by the stove: what to get ready, then each step under its number. */
    public static function cook(string $title, CookSheet $sheet): string
    {
        $out = ($title === '' ? 'Untitled' : $title) . "\n\nGet ready\n";
        foreach ($sheet->ready as $one) {
            $out .= "  [ ] {$one->says}\n";
        }
        foreach ($sheet->steps as $number => $step) {
            $out .= sprintf("\n%d. %s\n", $number + 1, $step->step->text);
            foreach ($step->uses as $one) {
                $out .= $one->share > 0.0 ? "     {$one->says}\n" : '';
            }
            $out .= $step->lookFrom === null ? '' : sprintf("     Look from minute %d.\n", (int) round($step->lookFrom));
            $out .= $step->meanwhile === null ? '' : "     Meanwhile: {$step->meanwhile}\n";
            foreach ($step->cautions as $caution) {
                $out .= "     ! {$caution->text}\n";
            }
        }
        $finished = $sheet->finished;
        [$low, $high] = [KitchenNumber::grams($finished['low']), KitchenNumber::grams($finished['high'])];
        $out .= sprintf(
            "\nIt comes to about %s%s, %s.\n",
            KitchenNumber::grams($finished['grams']),
            $low === $high ? '' : " ({$low} to {$high})",
            KitchenNumber::millilitres($finished['millilitres']),
        );
        foreach ($sheet->fill as $fill) {
            $out .= sprintf("%d × %d ml, each filled to %d ml.\n", $fill['count'], $fill['container_ml'], $fill['filled_ml']);
        }

        return $out . ($sheet->keepingClaim === null ? '' : "The recipe says of keeping: {$sheet->keepingClaim}\n");
    }

    /** @param list<Ingredient> $ingredients */
    public static function ingredients(array $ingredients): string
    {
        $text = '';
        foreach ($ingredients as $one) {
            $text .= self::left($one->key, 26) . self::left($one->name, 28) . implode(', ', $one->roles) . "\n";
        }

        return $text === '' ? "Nothing of that name. Try a shorter word.\n" : $text;
    }

    /** @param list<Family> $styles */
    public static function styles(array $styles): string
    {
        $text = '';
        foreach ($styles as $style) {
            $windows = [];
            foreach (Axis::cases() as $axis) {
                $window = $style->target->window($axis);
                $windows[] = $window === null
                    ? ''
                    : "{$axis->value} " . self::figure($window->low) . '–' . self::figure($window->high);
            }
            $text .= self::left($style->key, 20) . self::left($style->name, 28) . implode('  ', $windows) . "\n";
        }

        return $text;
    }

    /** @param list<string> $notes */
    public static function notes(array $notes): string
    {
        return $notes === []
            ? ''
            : "\n" . implode("\n", array_map(static fn(string $note): string => "- {$note}", $notes)) . "\n";
    }

    /** @param array<string, Estimate> $readings by axis */
    private static function axes(array $readings, Aim $aim): string
    {
        $text = '';
        foreach (Axis::cases() as $axis) {
            $reading = $readings[$axis->value];
            $window = $aim->shown()?->window($axis);
            $text .= self::left($axis->value, 8) . self::right(self::figure($reading->value), 8) . sprintf(
                '  (%s–%s)',
                self::figure($reading->low),
                self::figure($reading->high),
            );
            if ($window !== null) {
                $off = abs($window->off($axis, $reading->value));
                $text .= sprintf(
                    '  window %s–%s  %s%s',
                    self::figure($window->low),
                    self::figure($window->high),
                    $aim->verdict($axis, $reading->value),
                    $off === 0.0 ? '' : ', ' . Verdict::away($off) . ' away',
                );
            }
            $text .= "\n";
        }

        return $text;
    }

    private static function figure(float $value): string
    {
        return KitchenNumber::plain($value, $value >= 99.5 ? 0 : ($value >= 9.95 ? 1 : 2));
    }

    /** @param list<string> $items */
    private static function paragraph(string $heading, array $items): string
    {
        return $items === [] ? '' : $heading . implode(', ', $items) . "\n";
    }

    private static function left(string $text, int $width): string
    {
        return $text . str_repeat(' ', max(1, $width - mb_strlen($text)));
    }

    private static function right(string $text, int $width): string
    {
        return str_repeat(' ', max(0, $width - mb_strlen($text))) . $text;
    }
}
