<?php

declare(strict_types=1);

namespace App\Kitchen;

use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;

/**
 * The whole kitchen as one file of JSON, and back. The shape is published as docs/kitchen.schema.json; numbers of things are kept
 * in an empty kitchen, and move up past those that are taken in one that is not.
 */
final readonly class KitchenFile
{
    public const VERSION = 1;
    /** Tables in the order they depend on one another, with the columns that hold JSON. */
    private const TABLES = [
        'sauces' => ['standing', 'ingredient', 'method'],
        'lines' => [],
        'versions' => ['lines', 'method', 'standing'],
        'sauce_parts' => [],
        'batches' => ['lines', 'method', 'wish'],
        'doses' => ['additions'],
        'tastings' => ['said', 'scores', 'steps', 'balance'],
        'cook_events' => ['figures', 'grams'],
        'weighed_cooks' => [],
        'jars' => [],
        'products' => ['label'],
        'plans' => ['items'],
        'guesses' => [],
        'settings' => [],
    ];
    /** Columns that name a row of another table. */
    private const NAMES = ['sauce_id' => 'sauces', 'part_id' => 'sauces', 'forked_from' => 'sauces', 'batch_id' => 'batches'];

    public function __construct(private Connection $database) {}

    /** @return array<string, mixed> */
    public function write(): array
    {
        $file = ['vinculum' => 'kitchen', 'version' => self::VERSION];
        foreach (self::TABLES as $table => $json) {
            $file[$table] = [];
            foreach ($this->database->table($table)->get() as $row) {
                $fields = (array) $row;
                foreach ($json as $column) {
                    $fields[$column] = is_string($fields[$column] ?? null) ? json_decode($fields[$column], false) : null;
                }
                $file[$table][] = $fields;
            }
        }

        return $file;
    }

    public function isEmpty(): bool
    {
        return !$this->database->table('sauces')->exists() && !$this->database->table('products')->exists();
    }

    /**
     * What is in a file, and what of it stands on the shelf already.
     *
     * @param array<mixed> $file
     *
     * @return list<array{title: string, kind: string, there: bool}>
     *
     * @throws ImportFault
     */
    public function preview(array $file): array
    {
        $tables = $this->checked($file);
        $there = $this->standing();
        $items = array_map(static fn(array $sauce): array => ['title' => self::text($sauce['title'] ?? ''), 'kind' => 'sauce', 'there' => in_array(self::text($sauce['title'] ?? '') . "\n" . implode("\n", self::linesOf($sauce, $tables)), $there, true)], array_values(array_filter($tables['sauces'], static fn(array $sauce): bool => ($sauce['deleted_at'] ?? null) === null)));
        foreach (['batches' => 'batch', 'tastings' => 'tasting', 'products' => 'own product', 'plans' => 'plan'] as $table => $kind) {
            if ($tables[$table] !== []) {
                $items[] = ['title' => sprintf('%d %s', count($tables[$table]), $kind . (count($tables[$table]) === 1 ? '' : ($kind === 'batch' ? 'es' : 's'))), 'kind' => $kind, 'there' => false];
            }
        }

        return $items;
    }

    /**
     * @param array<mixed> $file
     * @param bool         $merges leave out sauces that stand on the shelf with the same name and lines, and all that hangs on them
     *
     * @return array<string, list<int>> the ids of what came in, by table
     *
     * @throws ImportFault when the file is no kitchen, or is damaged; then nothing is taken in
     */
    public function read(array $file, bool $merges): array
    {
        $tables = $this->checked($file);
        $isEmpty = $this->isEmpty();
        $there = $merges ? $this->standing() : [];
        $leftOut = array_map(static fn(array $sauce): int => self::number($sauce['id'] ?? 0), array_filter($tables['sauces'], static fn(array $sauce): bool => in_array(self::text($sauce['title'] ?? '') . "\n" . implode("\n", self::linesOf($sauce, $tables)), $there, true)));
        try {
            return $this->database->transaction(fn(): array => $this->insert($tables, $isEmpty, $leftOut));
        } catch (QueryException $fault) {
            throw ImportFault::damaged(explode("\n", $fault->getPrevious()?->getMessage() ?? '')[0]);
        }
    }

    /**
     * @param array<string, list<array<string, mixed>>> $tables
     * @param array<int>                                $leftOut ids of sauces
     *
     * @return array<string, list<int>>
     */
    private function insert(array $tables, bool $isEmpty, array $leftOut): array
    {
        $offsets = [];
        foreach (array_keys(self::TABLES) as $table) {
            $highest = in_array($table, ['sauce_parts', 'weighed_cooks', 'settings'], true) ? 0 : $this->database->table($table)->max('id');
            $offsets[$table] = $isEmpty ? 0 : self::number($highest ?? 0);
        }
        $batchesLeftOut = [];
        foreach ($tables['batches'] as $batch) {
            if (in_array(self::number($batch['sauce_id'] ?? 0), $leftOut, true)) {
                $batchesLeftOut[] = self::number($batch['id'] ?? 0);
            }
        }
        $made = [];
        foreach (self::TABLES as $table => $json) {
            if ($table === 'settings' && !$isEmpty) {
                continue;
            }
            foreach ($tables[$table] as $row) {
                $ofLeftOut = ($table === 'sauces' && in_array(self::number($row['id'] ?? 0), $leftOut, true)) || in_array(self::number($row['sauce_id'] ?? 0), $leftOut, true) || in_array(self::number($row['batch_id'] ?? 0), $batchesLeftOut, true);
                if ($ofLeftOut || in_array(self::number($row['part_id'] ?? 0), $leftOut, true)) {
                    continue;
                }
                if (isset($row['id'])) {
                    $row['id'] = self::number($row['id']) + $offsets[$table];
                    $made[$table][] = $row['id'];
                }
                $this->database->table($table)->insert(self::moved($row, $json, $table, $offsets));
            }
        }

        return $made;
    }

    /**
     * A row as it goes in: its references moved with what they refer to, its JSON as text.
     *
     * @param array<string, mixed> $row
     * @param list<string>         $json
     * @param array<string, int>   $offsets
     *
     * @return array<string, mixed>
     */
    private static function moved(array $row, array $json, string $table, array $offsets): array
    {
        foreach (self::NAMES as $column => $other) {
            if (isset($row[$column])) {
                $row[$column] = self::number($row[$column]) + $offsets[$other];
            }
        }
        foreach ($json as $column) {
            $value = $row[$column] ?? null;
            if ($table === 'cook_events' && $column === 'figures' && is_object($value)) {
                foreach (['event', 'timer'] as $name) {
                    if (isset($value->{$name})) {
                        $value->{$name} = self::number($value->{$name}) + $offsets['cook_events'];
                    }
                }
            }
            if ($table === 'plans' && is_array($value)) {
                foreach ($value as $item) {
                    if (is_object($item) && isset($item->sauce)) {
                        $item->sauce = self::number($item->sauce) + $offsets['sauces'];
                    }
                }
            }
            $text = $value === null ? null : json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION);
            $row[$column] = $text === null || $offsets['products'] === 0 ? $text : preg_replace_callback('/"own-(\d+)"/', static fn(array $found): string => '"own-' . ((int) $found[1] + $offsets['products']) . '"', $text);
        }

        return $row;
    }

    /**
     * @param array<mixed> $file
     *
     * @return array<string, list<array<string, mixed>>> rows by table, with columns that there are
     *
     * @throws ImportFault
     */
    private function checked(array $file): array
    {
        if (($file['vinculum'] ?? null) !== 'kitchen') {
            throw ImportFault::noKitchen();
        }
        if (self::number($file['version'] ?? 0) !== self::VERSION) {
            throw ImportFault::version(self::number($file['version'] ?? 0));
        }
        $tables = [];
        foreach (self::TABLES as $table => $json) {
            $columns = $this->database->getSchemaBuilder()->getColumnListing($table);
            $tables[$table] = [];
            foreach (is_array($file[$table] ?? null) ? $file[$table] : [] as $row) {
                if (!is_object($row)) {
                    throw ImportFault::damaged("{$table} holds something that is no row");
                }
                $fields = array_intersect_key((array) $row, array_flip($columns));
                foreach ($fields as $name => $value) {
                    if (!in_array($name, $json, true) && $value !== null && !is_scalar($value)) {
                        throw ImportFault::damaged("{$table}.{$name} is neither text nor number");
                    }
                }
                $tables[$table][] = $fields;
            }
        }

        return $tables;
    }

    /** @return list<string> name and lines of every sauce on the shelf */
    private function standing(): array
    {
        $lines = $this->database->table('lines')->orderBy('position')->get()->groupBy('sauce_id');
        $there = [];
        foreach ($this->database->table('sauces')->whereNull('deleted_at')->get() as $sauce) {
            $fields = (array) $sauce;
            $there[] = self::text($fields['title'] ?? '') . "\n" . implode("\n", array_map(self::text(...), $lines->get(self::number($fields['id'] ?? 0))?->pluck('text')->all() ?? []));
        }

        return $there;
    }

    /**
     * @param array<string, mixed>                      $sauce
     * @param array<string, list<array<string, mixed>>> $tables
     *
     * @return list<string>
     */
    private static function linesOf(array $sauce, array $tables): array
    {
        $own = array_filter($tables['lines'], static fn(array $line): bool => ($line['sauce_id'] ?? null) === ($sauce['id'] ?? 0));
        usort($own, static fn(array $one, array $other): int => self::number($one['position'] ?? 0) <=> self::number($other['position'] ?? 0));

        return array_map(static fn(array $line): string => self::text($line['text'] ?? ''), $own);
    }

    private static function number(mixed $value): int
    {
        return is_numeric($value) ? (int) $value : 0;
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }
}
