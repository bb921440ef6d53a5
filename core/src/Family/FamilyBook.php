<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetWindow;

/** The style families that ship with the project. */
final class FamilyBook
{
    /** @return list<Family> */
    public static function all(): array
    {
        return array_values(array_map(self::fromRow(...), FactsFile::named('styles')));
    }

    /** @return list<string> */
    public static function keys(): array
    {
        return array_keys(FactsFile::named('styles'));
    }

    public static function has(string $key): bool
    {
        return isset(FactsFile::named('styles')[$key]);
    }

    /** @throws FactsFault when there is no such style */
    public static function get(string $key): Family
    {
        return self::fromRow(FactsFile::named('styles')[$key] ?? throw FactsFault::unknownKey('style', $key));
    }

    private static function fromRow(Row $row): Family
    {
        $derived = FactsFile::named('windows')[$row->key];
        $windows = [];
        foreach (Axis::cases() as $axis) {
            // of an axis that is new here nothing was derived yet (bin/derive-families)
            if ($derived->has($axis->value)) {
                [$low, $high] = $derived->numbers($axis->value);
                $windows[$axis->value] = TargetWindow::between($low, $high);
            }
        }

        return new Family(
            $row->key,
            $row->text('name'),
            Target::of($windows),
            $row->text('base'),
            $row->list('correctors'),
            FamilyUsage::fromRow($row),
            $row->list('titled'),
            (int) $derived->number('references'),
            $row->text('source'),
        );
    }
}
