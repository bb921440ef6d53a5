<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\Component;
use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\FactsLines;
use Vinculum\Facts\Row;

/**
 * What a row of the catalogue may hold (fields.ini): an unknown field, a word that is in no list, a reference to nothing
 * and a figure outside its range are told with file and line, before anything is made of the row.
 */
final readonly class IngredientFields
{
    private const TABLE = 'ingredients';

    /** @param array<string, list<string>> $lists words that a field may hold */
    private function __construct(
        private FactsLines $lines,
        private Row $fields,
        private array $lists,
        private FoodTables $tables,
    ) {}

    /** @return list<string> what is wrong, each with its place; empty where every row is in shape */
    public static function faults(FactsLines $lines): array
    {
        $allowed = FactsFile::named('fields')['lists'];
        $lists = array_fill_keys(['roles', 'kind', 'texture', 'breaks'], []);
        foreach (array_keys($lists) as $field) {
            $lists[$field] = $allowed->list($field);
        }
        $allergens = array_map(strval(...), array_keys(FactsFile::named('allergens')));
        $lists += [
            'allergens' => $allergens,
            'often' => [...$allergens, ...FactsFile::named('fields')['lists']->list('often')],
            'sources' => array_map(strval(...), array_keys(FactsFile::named('sources'))),
            'poured' => array_map(strval(...), array_keys(FactsFile::folderNamed(self::TABLE))),
        ];
        $check = new self($lines, FactsFile::named('fields')['ingredient'], $lists, FoodTables::shipped());
        $faults = [];
        foreach (FactsFile::folderNamed(self::TABLE) as $row) {
            array_push($faults, ...$check->ofRow($row));
        }

        return $faults;
    }

    /** @return list<string> */
    private function ofRow(Row $row): array
    {
        $faults = [];
        foreach (array_diff($this->fields->list('needed'), $row->fields()) as $missing) {
            $faults[] = $this->lines->place(self::TABLE, $row->key) . ": [{$row->key}] has no \"{$missing}\"";
        }
        $file = self::fileOf($row);
        $place = $this->lines->place(self::TABLE, $row->key);
        if ($row->has('kind') && !str_starts_with($place, self::TABLE . "/{$file}.ini:")) {
            $faults[] = "{$place}: [{$row->key}] belongs into " . ($file === '' ? 'no file' : "{$file}.ini")
                . ' by its kinds (filing.ini)';
        }
        foreach ($row->fields() as $field) {
            $fault = $this->ofField($row, $field);
            if ($fault !== null) {
                $faults[] = $this->lines->place(self::TABLE, $row->key, $field) . ": [{$row->key}] {$fault}";
            }
        }

        return $faults;
    }

    /** The file that a row stands in, by what it is; '' where filing.ini has none for it. */
    private static function fileOf(Row $row): string
    {
        foreach (FactsFile::named('filing') as $file => $filing) {
            $isOfKind = array_intersect($filing->list('kinds'), $row->list('kind')) !== [];
            if ($isOfKind || array_intersect($filing->list('with'), $row->fields()) !== []) {
                return (string) $file;
            }
        }

        return '';
    }

    private function ofField(Row $row, string $field): ?string
    {
        $range = $this->ranges()[$field] ?? null;

        return match (true) {
            $field === 'sources' => $this->ofSources($row),
            isset($this->lists[$field]) => $this->notAmong($row->list($field), $this->lists[$field], $field),
            // what was taken from things of its kind says so behind the figure
            $range !== null => self::outside(preg_replace('/ by kind$/', '', $row->text($field)) ?? '', $range, $field),
            in_array($field, $this->fields->list('flags'), true)
                => $row->text($field) === 'yes' ? null : "{$field} can only be \"yes\"",
            in_array($field, $this->fields->list('texts'), true)
                => $row->text($field) === '' ? "{$field} says nothing" : null,
            in_array($field, $this->fields->list('names'), true)
                => $row->list($field) === [] ? "{$field} names nothing" : null,
            in_array($field, $this->fields->list('amounts'), true) => $this->ofAmounts($row, $field),
            $field === 'grades' => self::ofGrades($row->list($field)),
            default => "has a field \"{$field}\" that no ingredient has" . $this->nearest($field),
        };
    }

    /** @return array<string, array{float, float}> */
    private function ranges(): array
    {
        $ranges = [];
        foreach ($this->fields->list('ranges') as $range) {
            [$field, $from, $to] = explode(' ', $range);
            $ranges[$field] = [(float) $from, (float) $to];
        }

        return $ranges;
    }

    /** @param array{float, float} $range */
    private static function outside(string $found, array $range, string $field): ?string
    {
        return is_numeric($found) && (float) $found >= $range[0] && (float) $found <= $range[1]
            ? null
            : "{$field} is \"{$found}\", and must be a number from {$range[0]} to {$range[1]}";
    }

    /**
     * @param list<string> $found
     * @param list<string> $allowed
     */
    private function notAmong(array $found, array $allowed, string $field): ?string
    {
        $unknown = array_diff($found, $allowed);

        return match (true) {
            $found === [] => "{$field} names nothing",
            $unknown === [] => null,
            default => "{$field}: there is no \"" . implode('", "', $unknown) . '"',
        };
    }

    /** A published table comes with the food in it: "usda-sr24 11215". */
    private function ofSources(Row $row): ?string
    {
        $named = [];
        foreach ($row->list('sources') as $source) {
            [$key, $food] = [...explode(' ', $source, 2), ''];
            $named[] = $key;
            if ($food !== '' && $this->tables->name($key, $food) === null) {
                return "sources: there is no food \"{$food}\" in {$key}";
            }
        }

        return $this->notAmong($named, $this->lists['sources'], 'sources');
    }

    private function ofAmounts(Row $row, string $field): ?string
    {
        $named = array_map(static fn(string $one): string => explode(' ', $one)[0], $row->list($field));
        $twice = array_unique(array_diff_key($named, array_unique($named)));
        if ($twice !== []) {
            return "{$field}: \"" . implode('", "', $twice) . '" stands there twice';
        }
        if ($field === 'units') {
            $odd = self::unlike('/^\D+? [\d.]+(?: [\d.]+)?$/', $row->list($field));

            return $odd === [] ? null : "{$field}: \"" . implode('", "', $odd) . '" is no name with its grams';
        }
        try {
            $amounts = $row->amounts($field);
        } catch (FactsFault $fault) {
            return $fault->getMessage();
        }
        $names = match ($field) {
            'of' => array_map(static fn(Component $one): string => $one->value, Component::cases()),
            'sweeteners' => array_map(strval(...), array_keys(FactsFile::named('sweeteners'))),
            default => array_map(strval(...), array_keys($amounts)),
        };
        $odd = array_filter($amounts, static fn(float $one): bool => $one < 0.0 || $one > 100.0);

        return $this->notAmong(array_map(strval(...), array_keys($amounts)), $names, $field)
            ?? ($odd === [] ? null : "{$field}: " . implode(', ', array_keys($odd)) . ' lies outside 0 to 100');
    }

    /** @param list<string> $grades */
    private static function ofGrades(array $grades): ?string
    {
        $odd = self::unlike('/^(?:[a-z_]+ )?[A-D]$/', $grades);

        return $grades !== [] && $odd === [] ? null : 'grades: "' . implode('", "', $odd) . '" is no grade';
    }

    /**
     * @param list<string> $texts
     *
     * @return list<string> those that are not like a pattern
     */
    private static function unlike(string $pattern, array $texts): array
    {
        return array_values(array_filter($texts, static fn(string $one): bool => preg_match($pattern, $one) !== 1));
    }

    /** The field that a misspelt one comes nearest to. */
    private function nearest(string $field): string
    {
        $known = [...array_keys($this->lists), ...array_keys($this->ranges()), 'grades'];
        foreach (['flags', 'texts', 'names', 'amounts'] as $kind) {
            $known = [...$known, ...$this->fields->list($kind)];
        }
        foreach ($known as $one) {
            if (levenshtein($field, $one) <= 2) {
                return ": \"{$one}\" is meant?";
            }
        }

        return '';
    }
}
