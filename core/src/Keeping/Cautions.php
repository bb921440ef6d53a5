<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Balance\Balance;
use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Mixture\Component;

/** Which cautions follow from what a sauce is made of. The rules are rows of cautions.ini. */
final class Cautions
{
    private const SUGARS = ['sucrose', 'glucose', 'fructose', 'maltose', 'lactose', 'galactose'];

    /** @return list<Caution> the gravest first */
    public static function for(Balance $balance): array
    {
        if ($balance->mixture->grams() <= 0.0) {
            return [];
        }
        $cautions = [];
        foreach (FactsFile::named('cautions') as $code => $row) {
            if (self::applies($row, $balance)) {
                $severity = $row->text('severity');
                $cautions[] = match ($severity) {
                    'info', 'warn', 'stop' => new Caution($code, $severity, str_replace('{allergens}', implode(', ', $balance->allergens()), $row->text('text')), $row->text('source')),
                    default => throw FactsFault::unknownKey('severity', $severity),
                };
            }
        }
        $gravity = ['stop' => 0, 'warn' => 1, 'info' => 2];
        usort($cautions, static fn(Caution $one, Caution $other): int => $gravity[$one->severity] <=> $gravity[$other->severity]);

        return $cautions;
    }

    private static function applies(Row $row, Balance $balance): bool
    {
        $mixture = $balance->mixture;
        $keys = array_map(static fn($line): string => $line->ingredient instanceof Ingredient ? $line->ingredient->key : '', $balance->formula->lines);
        $sugars = array_sum(array_map(static fn(string $sugar): float => $mixture->percent(Component::from($sugar)), self::SUGARS));
        $tests = [
            'any' => static fn(): bool => array_intersect($row->list('any'), $keys) !== [],
            'allergens' => static fn(): bool => $balance->allergens() !== [],
            'fat_over' => static fn(): bool => $mixture->percent(Component::Fat) > $row->number('fat_over'),
            'ethanol_over' => static fn(): bool => $mixture->percent(Component::Ethanol) > $row->number('ethanol_over'),
            'sugar_over' => static fn(): bool => $sugars > $row->number('sugar_over'),
            'heat_over' => static fn(): bool => $balance->taste->heat > $row->number('heat_over'),
            'ph_high_over' => static fn(): bool => $balance->ph !== null && $balance->ph->high > $row->number('ph_high_over'),
        ];
        foreach ($tests as $field => $test) {
            if ($row->has($field) && !$test()) {
                return false;
            }
        }

        return true;
    }
}
