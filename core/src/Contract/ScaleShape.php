<?php

declare(strict_types=1);

namespace Vinculum\Contract;

use Vinculum\Chemistry\Volume;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Writing\AmountWriter;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaledLine;
use Vinculum\Sensory\Target;

/** A recipe at another size. The shapes of the public JSON contract, for the command line and for HTTP alike: grams, millilitres, minutes. */
final class ScaleShape
{
    /** @return array<string, mixed> */
    public static function of(Scale $scale, ?Target $target, Measures $measures): array
    {
        [$before, $after] = $scale->balances();

        return [
            'factor' => Figure::round($scale->factor),
            'limited_by' => $scale->limitedBy,
            'lines' => array_map(static fn(ScaledLine $line): array => self::line($line, $measures), $scale->lines),
            'batch' => ['grams' => Figure::round($scale->mixed->grams()), 'millilitres' => Figure::round(Volume::millilitres($scale->mixed))],
            'fill' => self::fill($scale),
            'cook' => $scale->cook === null ? null : [
                'evaporate_grams' => Figure::round($scale->cook['evaporate_grams']),
                'minutes' => array_map(Figure::round(...), $scale->cook['minutes']),
                'pan_reads_grams' => Figure::round($scale->cook['pan_reads_grams']),
            ],
            'axes_before' => BalanceShape::axes($before->axes, $target),
            'axes_after' => BalanceShape::axes($after->axes, $target),
            'notes' => $scale->notes,
            'change_steps' => array_map(Figure::round(...), $before->taste->stepsTo($after->taste)),
            'finished' => ['grams' => Figure::round($after->mixture->grams()), 'millilitres' => Figure::round(Volume::millilitres($after->mixture))],
        ];
    }

    /** @return list<array<string, mixed>> */
    public static function fill(Scale $scale): array
    {
        return array_map(static fn(array $one): array => ['container_ml' => Figure::round($one['container_ml']), 'count' => $one['count'], 'filled_ml' => Figure::round($one['filled_ml']), 'left_over_ml' => Figure::round($one['left_over_ml'])], $scale->fill);
    }

    /** @return array<string, mixed> */
    private static function line(ScaledLine $scaled, Measures $measures): array
    {
        $line = $scaled->line;
        $isHeading = $line->status === LineStatus::Heading;

        return [
            'ingredient' => $line->ingredient?->key,
            'text' => $line->text,
            'grams' => Figure::roundOrNull($scaled->grams),
            'exact_grams' => Figure::roundOrNull($scaled->exactGrams),
            'measure' => $scaled->measure,
            'error_percent' => Figure::roundOrNull($scaled->errorPercent),
            'note' => $scaled->note,
            'scaled_text' => $isHeading || $scaled->grams === null ? $line->text : AmountWriter::inGrams($line, $scaled->grams, $measures),
        ];
    }
}
