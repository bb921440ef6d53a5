<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Writing\AmountWriter;
use Vinculum\Sensory\Target;
use Vinculum\Substitution\Conversion;
use Vinculum\Substitution\Swap;
use Vinculum\Substitution\SwapAddition;

/** What can take a line's place, and whole recipes made fit for someone. The shapes of the public JSON contract, for the command line and for HTTP alike: grams, steps. */
final class SwapShape
{
    /**
     * @param int        $line  from 0
     * @param list<Swap> $swaps
     *
     * @return array<string, mixed>
     */
    public static function of(Formula $formula, int $line, array $swaps, ?Target $target, Measures $measures): array
    {
        $old = $formula->lines[$line];

        return [
            'line' => $line + 1,
            'ingredient' => $old->ingredient?->key,
            'name' => $old->ingredient?->name,
            'grams' => Figure::round($old->grams->value ?? 0.0),
            'candidates' => array_map(static fn(Swap $swap): array => self::swap($formula, $swap, $target, $measures), $swaps),
        ];
    }

    /** @return array<string, mixed> */
    public static function conversion(Formula $formula, Conversion $conversion, ?Target $target, Measures $measures): array
    {
        $texts = array_map(static fn(ResolvedLine $line): string => $line->text, $formula->lines);
        $swaps = [];
        $now = $formula;
        foreach ($conversion->swaps as $swap) {
            [$edits, $new] = self::texts($now, $swap, $measures);
            $swaps[] = ['line' => $swap->line + 1, 'replaced' => $now->lines[$swap->line]->ingredient?->name, ...self::swap($now, $swap, $target, $measures)];
            foreach ($edits as $edit) {
                $texts[$edit['line'] - 1] = $edit['text'];
            }
            // a swap puts its new lines last, as applied() does, so that the next one counts them alike
            array_push($texts, ...$new);
            $now = $swap->applied($now);
        }

        return [
            'swaps' => $swaps,
            'stuck' => array_map(static fn(int $line): array => ['line' => $line + 1, 'text' => $formula->lines[$line]->text], $conversion->stuck),
            'lines' => array_values($texts),
            'after' => BalanceShape::axes(Balance::of($conversion->formula)->axes, $target),
            'change_steps' => array_map(Figure::round(...), $conversion->changeSteps),
            'residual_steps' => Figure::round($conversion->residual),
        ];
    }

    /** @return array<string, mixed> */
    private static function swap(Formula $formula, Swap $swap, ?Target $target, Measures $measures): array
    {
        [$edits, $added] = self::texts($formula, $swap, $measures);

        return [
            'ingredient' => $swap->ingredient->key,
            'grams' => Figure::round($swap->grams),
            'measure' => $swap->measure,
            'compensations' => array_map(static fn(SwapAddition $one): array => ['ingredient' => $one->ingredient->key, 'grams' => Figure::round($one->grams), 'measure' => $one->measure, 'name' => $one->ingredient->name], $swap->compensations),
            'change_steps' => array_map(Figure::round(...), $swap->changeSteps),
            'residual_steps' => Figure::round($swap->residual),
            'allergens_added' => $swap->allergensAdded,
            'allergens_removed' => $swap->allergensRemoved,
            'diets_gained' => $swap->dietsGained,
            'note' => $swap->notes === [] ? null : implode('; ', $swap->notes),
            'name' => $swap->ingredient->name,
            'diets_lost' => $swap->dietsLost,
            'kinship' => Figure::round($swap->kinship),
            'main_axis' => $swap->mainAxis?->value,
            'after' => BalanceShape::axes(Balance::of($swap->applied($formula))->axes, $target),
            'edits' => $edits,
            'added' => $added,
        ];
    }

    /**
     * The swap as lines a person could have written.
     *
     * @return array{list<array{line: int, text: string}>, list<string>} existing lines that change, and new ones
     */
    private static function texts(Formula $formula, Swap $swap, Measures $measures): array
    {
        $tags = array_map(static fn(string $tag): string => " [{$tag}]", array_intersect($formula->lines[$swap->line]->tags, ['cold', 'steeped', 'optional']));
        $edits = [['line' => $swap->line + 1, 'text' => self::line($swap->measure, $swap->ingredient->name) . implode('', $tags)]];
        $added = [];
        foreach ($swap->compensations as $one) {
            $stands = $one->line === null ? null : $formula->lines[$one->line];
            $left = ($stands->grams->value ?? 0.0) + $one->grams;
            if ($stands === null) {
                $added[] = self::line($one->measure, $one->ingredient->name);
            } elseif ($left <= 0.5) {
                $edits[] = ['line' => $one->line + 1, 'text' => ''];
            } elseif ($stands->text === '') {
                $edits[] = ['line' => $one->line + 1, 'text' => self::line(KitchenNumber::grams($left), $one->ingredient->name)];
            } else {
                $edits[] = ['line' => $one->line + 1, 'text' => AmountWriter::inGrams($stands, $left, $measures)];
            }
        }

        return [$edits, $added];
    }

    private static function line(string $measure, string $name): string
    {
        return str_replace(' whole', '', $measure) . ' ' . mb_strtolower($name);
    }
}
