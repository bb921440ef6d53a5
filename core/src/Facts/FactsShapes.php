<?php

declare(strict_types=1);

namespace Vinculum\Facts;

/**
 * What every file of facts may hold (shapes.ini): an unknown field, a word that is in no list, a reference to nothing, a
 * field that is missing and a source that is missing are told with file and line.
 */
final class FactsShapes
{
    private const SHAPES = 'shapes';
    private const NEEDED = ' needed';
    /** Fields that every row may have. */
    private const SOURCE = 'source';

    /** @var array<string, list<string>> keys by table */
    private array $keys = [];

    private function __construct(private readonly FactsLines $lines) {}

    /** @return list<string> what is wrong, each with its place; empty where every file is in shape */
    public static function faults(FactsLines $lines): array
    {
        $check = new self($lines);
        $faults = $lines->withoutSource();
        foreach (FactsFile::named(self::SHAPES) as $file => $shape) {
            foreach (FactsFile::named((string) $file) as $row) {
                array_push($faults, ...$check->ofRow((string) $file, $row, $shape));
            }
        }

        return $faults;
    }

    /** @return list<string> */
    private function ofRow(string $file, Row $row, Row $shape): array
    {
        $faults = [];
        $table = $shape->textOr('sections', $file);
        if ($table !== $file && !in_array($row->key, $this->keysOf($table), true)) {
            $faults[] = $this->lines->place($file, $row->key) . ": [{$row->key}] is none of {$table}";
        }
        foreach ($shape->fields() as $field) {
            if (str_ends_with($shape->text($field), self::NEEDED) && !$row->has($field)) {
                $faults[] = $this->lines->place($file, $row->key) . ": [{$row->key}] has no \"{$field}\"";
            }
        }
        foreach (array_diff($row->fields(), [self::SOURCE]) as $field) {
            $fault = $this->ofField($row, $field, $shape->textOr($field, $shape->textOr('any', '')));
            if ($fault !== null) {
                $faults[] = $this->lines->place($file, $row->key, $field) . ": [{$row->key}] {$fault}";
            }
        }

        return $faults;
    }

    private function ofField(Row $row, string $field, string $shape): ?string
    {
        $shape = str_replace(self::NEEDED, '', $shape);
        [$type, $of] = [...explode(' ', $shape, 2), ''];

        return match ($type) {
            '' => "has a field \"{$field}\" that its file has not",
            'text' => null,
            'words' => $row->list($field) === [] ? "{$field} says nothing" : null,
            'number', 'numbers' => self::ofNumbers($field, $type === 'number' ? [$row->text($field)] : $row->list($field)),
            'one' => in_array($row->text($field), explode('|', $of), true)
                ? null
                : "{$field} is \"{$row->text($field)}\", and must be one of " . str_replace('|', ', ', $of),
            'keys' => $this->notIn($field, $row->list($field), $of),
            'amounts' => $this->ofAmounts($row, $field, $of),
            default => "{$field}: \"{$shape}\" is no shape (" . self::SHAPES . '.ini)',
        };
    }

    /** @param list<string> $found */
    private static function ofNumbers(string $field, array $found): ?string
    {
        $odd = array_filter($found, static fn(string $one): bool => !is_numeric($one));

        return $odd === [] ? null : "{$field}: \"" . implode('", "', $odd) . '" is no number';
    }

    /** @param list<string> $found */
    private function notIn(string $field, array $found, string $table): ?string
    {
        $unknown = array_diff($found, $this->keysOf($table));

        return $unknown === [] ? null : "{$field}: there is no \"" . implode('", "', $unknown) . "\" among {$table}";
    }

    private function ofAmounts(Row $row, string $field, string $table): ?string
    {
        try {
            $names = array_map(strval(...), array_keys($row->amounts($field)));
        } catch (FactsFault $fault) {
            return $fault->getMessage();
        }

        return $table === '' ? null : $this->notIn($field, $names, $table);
    }

    /** @return list<string> */
    private function keysOf(string $table): array
    {
        return $this->keys[$table] ??= match ($table) {
            'kinds' => FactsFile::named('fields')['lists']->list('kind'),
            'roles' => FactsFile::named('fields')['lists']->list('roles'),
            'aromas' => array_map(strval(...), array_keys(array_filter(
                FactsFile::named('characters'),
                static fn(Row $row): bool => $row->textOr('kind', '') === 'aroma',
            ))),
            'ingredients' => array_map(strval(...), array_keys(FactsFile::folderNamed('ingredients'))),
            default => array_map(strval(...), array_keys(FactsFile::named($table))),
        };
    }
}
