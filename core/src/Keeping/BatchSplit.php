<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Component;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/** A batch divided before it is used: each part with its amount, its timing and what must not come back. */
final class BatchSplit
{
    /** @return list<string> */
    public static function uses(): array
    {
        return array_values(array_diff(array_keys(FactsFile::named('uses')), ['sugar']));
    }

    /**
     * The parts, the table's first, and what is left; where there is too little, every part but the table's shrinks.
     *
     * @param list<string> $uses
     * @param float $kilograms of food
     * @param float $people
     *
     * @return array{parts: list<array{use: string, grams: float, wanted_grams: float, timing: string, rule: string, source: string}>, left_grams: float}
     */
    public static function of(Balance $balance, array $uses, float $kilograms, float $people): array
    {
        $wanted = [];
        foreach (FactsFile::named('uses') as $use => $row) {
            if ($use !== 'sugar' && in_array($use, $uses, true)) {
                $wanted[$use] = $row->has('grams_per_person')
                    ? $row->number('grams_per_person') * $people
                    : $row->number('grams_per_kilogram') * $kilograms;
            }
        }
        $there = $balance->mixture->grams();
        $table = min($there, $wanted['table'] ?? 0.0);
        $rest = array_sum($wanted) - ($wanted['table'] ?? 0.0);
        $share = $rest > 0.0 ? min(1.0, ($there - $table) / $rest) : 1.0;
        $parts = [];
        foreach ($wanted as $use => $grams) {
            $row = FactsFile::named('uses')[$use];
            $parts[] = [
                'use' => $use,
                'grams' => $use === 'table' ? $table : $share * $grams,
                'wanted_grams' => $grams,
                'timing' => self::timing($row, $balance),
                'rule' => $row->text('rule'),
                'source' => $row->text('source'),
            ];
        }
        usort(
            $parts,
            static fn(array $one, array $other): int => ($other['use'] === 'table') <=> ($one['use'] === 'table'),
        );

        return ['parts' => $parts, 'left_grams' => max(0.0, $there - array_sum(array_column($parts, 'grams')))];
    }

    private static function timing(Row $row, Balance $balance): string
    {
        if ($row->has('timing')) {
            return $row->text('timing');
        }
        $sugars = $balance->mixture->percentOf(Component::sugars());

        return $row->text(match (true) {
            $sugars >= FactsFile::named('uses')['sugar']->number('burns_from') => 'timing_sugar',
            $sugars < FactsFile::named('uses')['sugar']->number('none_under') => 'timing_none',
            default => 'timing_some',
        });
    }
}
