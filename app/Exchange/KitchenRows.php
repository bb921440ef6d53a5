<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Batches\Batch;
use App\Batches\Dose;
use App\Batches\Jar;
use App\Batches\StoredCookEvent;
use App\Hob\StoredWeighedCook;
use App\Palate\Guess;
use App\Palate\Tasting;
use App\Pantry\Product;
use App\Plans\Plan;
use App\Recipes\Sauce;
use App\Recipes\Version;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;

/**
 * Writes the rows of a kitchen's file into the database, their numbers moved, and reads each back as the app will. They
 * are laid down beside the kitchen first, which takes as long as the file is large, and others go on writing meanwhile;
 * they come in all at once, which is quick.
 */
final class KitchenRows
{
    /** Numbers left free for what others add meanwhile, where they did before. */
    public const GAP = 500;
    private const AT_ONCE = 100;
    private const TELLS_EVERY = 25;
    /** Columns that name a row of another table. */
    private const NAMES = [
        'sauce_id' => 'sauces',
        'part_id' => 'sauces',
        'forked_from' => 'sauces',
        'batch_id' => 'batches',
    ];
    private const MODELS = [
        'sauces' => Sauce::class,
        'versions' => Version::class,
        'batches' => Batch::class,
        'doses' => Dose::class,
        'tastings' => Tasting::class,
        'cook_events' => StoredCookEvent::class,
        'weighed_cooks' => StoredWeighedCook::class,
        'jars' => Jar::class,
        'products' => Product::class,
        'plans' => Plan::class,
        'guesses' => Guess::class,
    ];

    /** @var array<string, int> what is added to the numbers of each table */
    private readonly array $offsets;

    /** @var array<string, int> guesses here that no row of the file was matched with yet */
    private array $guesses;

    /** @var array<string, list<array<string, mixed>>> rows that wait to be laid down, by table */
    private array $waiting = [];

    /** @var array<string, array{string, list<string>, string}> table, columns and where rows with just those lie */
    private array $laidDown = [];

    /** @var array<string, list<int|string>> */
    private array $made = [];

    public function __construct(
        private readonly Connection $database,
        private readonly KitchenContents $contents,
        private readonly KitchenMatch $match,
        private readonly bool $isEmpty,
        int $gap = 0,
    ) {
        $this->guesses = $match->guesses;
        $offsets = [];
        foreach (array_keys(KitchenFile::TABLES) as $table) {
            $offsets[$table] = $isEmpty ? 0 : $this->highest($table) + $gap;
        }
        $this->offsets = $offsets;
    }

    /**
     * Lays the rows down beside the kitchen: no transaction of it is open.
     *
     * @param callable(int): void $progress
     *
     * @throws ImportFault when a row cannot be read back
     */
    public function layDown(JsonRows $file, callable $progress): void
    {
        $seen = 0;
        foreach ($file->each() as [$table, $place, $row]) {
            if ($place < 0 || !isset(KitchenFile::TABLES[$table]) || !is_object($row)) {
                continue;
            }
            /** @var array<string, mixed> $fields */
            $fields = array_intersect_key(
                (array) $this->contents->older->anew($table, $row),
                array_flip($this->contents->columns[$table]),
            );
            if (!$this->isLeftOut($table, $fields)) {
                $this->put($table, $this->moved($fields, $table));
            }
            if (++$seen % self::TELLS_EVERY === 0) {
                $progress($file->bytesRead());
            }
        }
        foreach (array_keys($this->waiting) as $table) {
            $this->flush($table);
        }
    }

    /**
     * Takes in what was laid down, within the caller's transaction.
     *
     * @return array<string, list<int|string>>|null the keys of what came in, by table; null, and nothing taken in, where
     *     others added so much meanwhile that the numbers are taken
     *
     * @throws ImportFault when a row names another that is not there
     */
    public function takeIn(): ?array
    {
        foreach ($this->offsets as $table => $offset) {
            if ($this->highest($table) > $offset) {
                return null;
            }
        }
        // lists may stand in any order
        $this->database->statement('PRAGMA defer_foreign_keys = ON');
        foreach ($this->laidDown as [$table, $columns, $place]) {
            $this->database->table($table)->insertUsing(
                $columns,
                $this->database->table($place)->orderBy('rowid')->select($columns),
            );
        }
        if ($this->database->select('PRAGMA foreign_key_check') !== []) {
            throw ImportFault::damaged('a row names another that is not there');
        }

        return $this->made;
    }

    /** Takes away what was laid down. */
    public function clear(): void
    {
        foreach ($this->laidDown as [, , $place]) {
            $this->database->statement("DROP TABLE temp.{$place}");
        }
        $this->laidDown = [];
    }

    private function highest(string $table): int
    {
        $highest = in_array($table, ['sauce_parts', 'weighed_cooks', 'settings'], true)
            ? 0
            : $this->database->table($table)->max('id');

        return is_int($highest) ? $highest : 0;
    }

    /**
     * Where rows with just these columns are laid down: what a row does not have is as the kitchen has it by default.
     *
     * @param list<string> $columns
     */
    private function placeOf(string $table, array $columns): string
    {
        $key = $table . ' ' . implode(' ', $columns);
        if (!isset($this->laidDown[$key])) {
            $place = 'laid_down_' . count($this->laidDown);
            $this->database->statement("DROP TABLE IF EXISTS temp.{$place}");
            $this->database->statement(
                "CREATE TEMP TABLE {$place} AS SELECT \"" . implode('", "', $columns) . "\" FROM {$table} WHERE 0",
            );
            $this->laidDown[$key] = [$table, $columns, $place];
        }

        return $this->laidDown[$key][2];
    }

    /** @param array<string, mixed> $row */
    private function isLeftOut(string $table, array $row): bool
    {
        $id = self::number($row['id'] ?? null);
        $sauce = self::number($row['sauce_id'] ?? null);
        $batch = self::number($row['batch_id'] ?? null);
        if ($table === 'guesses') {
            $tells = KitchenMatch::identityKey($table, $row);
            $isThere = ($this->guesses[$tells] ?? 0) > 0;
            $this->guesses[$tells] = ($this->guesses[$tells] ?? 0) - 1;

            return $isThere;
        }

        return match ($table) {
            'sauces' => isset($this->match->sauces[$id]),
            'products' => isset($this->match->products[$id]),
            'plans' => isset($this->match->plans[$id]),
            'settings' => !$this->isEmpty,
            default => isset($this->match->sauces[$sauce])
                || isset($this->match->sauces[$this->contents->batchesOf[$batch] ?? 0]),
        };
    }

    /** @param array<string, mixed> $row */
    private function put(string $table, array $row): void
    {
        $this->waiting[$table][] = $row;
        if (count($this->waiting[$table]) >= self::AT_ONCE) {
            $this->flush($table);
        }
    }

    private function flush(string $table): void
    {
        $rows = $this->waiting[$table] ?? [];
        $this->waiting[$table] = [];
        // rows of one statement have the same columns
        $alike = [];
        foreach ($rows as $row) {
            ksort($row);
            $alike[implode(' ', array_keys($row))][] = $row;
            $this->made[$table][] = is_int($row['id'] ?? null) ? $row['id'] : KitchenMatch::keyOf($table, $row);
        }
        foreach ($alike as $some) {
            $place = $this->placeOf($table, array_keys($some[0]));
            // SQLite takes so many values at once
            foreach (array_chunk($some, max(1, intdiv(900, count($some[0])))) as $chunk) {
                $this->database->table($place)->insert($chunk);
            }
        }
        $this->readBack($table, $rows);
    }

    /**
     * Every row as the app will read it: a figure that it cannot read is found now, and not when the page is opened.
     *
     * @param list<array<string, mixed>> $rows
     */
    private function readBack(string $table, array $rows): void
    {
        $model = self::MODELS[$table] ?? null;
        if ($model === null) {
            return;
        }
        foreach ($rows as $row) {
            try {
                $read = self::asModel($model, $row);
                foreach (array_keys(array_intersect_key($read->getCasts(), $row)) as $column) {
                    $read->getAttribute($column);
                }
            } catch (\Throwable) {
                throw ImportFault::damaged(
                    sprintf('a row of %s, number %s, cannot be read', $table, KitchenMatch::keyOf($table, $row)),
                );
            }
        }
    }

    /**
     * @param class-string<Model> $model
     * @param array<string, mixed> $row
     */
    private static function asModel(string $model, array $row): Model
    {
        return (new $model())->newFromBuilder($row);
    }

    /**
     * A row as it goes in: its references moved with what they refer to, its JSON as text.
     *
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private function moved(array $row, string $table): array
    {
        if (isset($row['id'])) {
            $row['id'] = self::number($row['id']) + $this->offsets[$table];
        }
        foreach (self::NAMES as $column => $other) {
            if (isset($row[$column])) {
                $row[$column] = $this->numberHere($other, self::number($row[$column]));
            }
        }
        if (array_key_exists('standing', $row)) {
            // it is worked out anew (SauceService::weigh), not believed
            $row['standing'] = $table === 'sauces' ? new \stdClass() : null;
        }
        foreach (KitchenFile::TABLES[$table] as $column) {
            $value = $row[$column] ?? null;
            if ($table === 'cook_events' && $column === 'figures' && is_object($value)) {
                foreach (['event', 'timer'] as $name) {
                    if (isset($value->{$name})) {
                        $value->{$name} = (int) (is_numeric($value->{$name}) ? $value->{$name} : 0)
                            + $this->offsets['cook_events'];
                    }
                }
            }
            if ($table === 'plans' && is_array($value)) {
                foreach ($value as $item) {
                    if (is_object($item) && isset($item->sauce)) {
                        $item->sauce = $this->numberHere('sauces', self::number($item->sauce));
                    }
                }
            }
            $row[$column] = $value === null
                ? null
                : $this->withOwnKeys(
                    json_encode(
                        $value,
                        JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES
                            | JSON_PRESERVE_ZERO_FRACTION,
                    ),
                );
        }

        return $row;
    }

    /** The number here of a row of the file: of the same thing where it is there already. */
    private function numberHere(string $table, int $number): int
    {
        $there = match ($table) {
            'sauces' => $this->match->sauces[$number] ?? null,
            'products' => $this->match->products[$number] ?? null,
            default => null,
        };

        return $there ?? $number + $this->offsets[$table];
    }

    private function withOwnKeys(string $json): string
    {
        return $this->isEmpty
            ? $json
            : (string) preg_replace_callback(
                '/"own-(\d{1,15})"/',
                fn(array $found): string => '"own-' . $this->numberHere('products', (int) $found[1]) . '"',
                $json,
            );
    }

    private static function number(mixed $value): int
    {
        return is_int($value) ? $value : 0;
    }
}
