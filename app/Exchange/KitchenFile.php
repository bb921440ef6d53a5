<?php

declare(strict_types=1);

namespace App\Exchange;

use Illuminate\Database\Connection;
use Illuminate\Database\QueryException;

/**
 * The whole kitchen as one file of JSON, and back, a row at a time. The shape is published as
 * docs/kitchen.schema.json, and every row is held to it. Numbers of things are kept in an empty kitchen, and move up
 * past those that are taken in one that is not.
 */
final readonly class KitchenFile
{
    public const VERSION = 4;
    /**
     * Versions that are read: 1 knew nothing of servings, of what was set aside, and of axes let go of; both had a
     * recipe in columns and its lines in a list; in 3 a line was its text (App\Exchange\OlderRows).
     */
    public const READ = [1, 2, 3, 4];
    /** Tables in the order they depend on one another, with the columns that hold JSON. */
    public const TABLES = [
        'sauces' => ['recipe', 'standing'],
        'versions' => ['recipe', 'standing'],
        'sauce_parts' => [],
        'batches' => ['recipe', 'wish'],
        'doses' => ['additions'],
        'tastings' => ['said', 'scores', 'steps', 'balance', 'answer'],
        'cook_events' => ['figures', 'grams'],
        'weighed_cooks' => [],
        'jars' => [],
        'products' => ['label'],
        'plans' => ['items'],
        'guesses' => [],
        'settings' => [],
    ];
    private const KINDS = [
        'batches' => 'batch',
        'tastings' => 'tasting',
        'products' => 'own product',
        'plans' => 'plan',
    ];

    public function __construct(private Connection $database) {}

    /**
     * The file in pieces, as of one moment.
     *
     * @return \Generator<string>
     */
    public function write(): \Generator
    {
        // a snapshot that waits for no writer and keeps none waiting
        $pdo = $this->database->getPdo();
        $isOurs = !$pdo->inTransaction() && $pdo->beginTransaction();
        try {
            yield '{"vinculum": "kitchen", "version": ' . self::VERSION;
            foreach (self::TABLES as $table => $json) {
                yield ",\n\"{$table}\": [";
                $isFirst = true;
                foreach ($this->database->table($table)->orderBy(
                    $table === 'settings' ? 'name' : 'rowid',
                )->cursor() as $row) {
                    $fields = (array) $row;
                    foreach ($json as $column) {
                        $fields[$column] = is_string($fields[$column] ?? null)
                            ? json_decode($fields[$column], false)
                            : null;
                    }
                    yield ($isFirst ? "\n" : ",\n") . json_encode(
                        $fields,
                        JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES
                            | JSON_PRESERVE_ZERO_FRACTION,
                    );
                    $isFirst = false;
                }
                yield ']';
            }
            yield "}\n";
        } finally {
            if ($isOurs) {
                $pdo->rollBack();
            }
        }
    }

    public function isEmpty(): bool
    {
        foreach (['sauces', 'products', 'plans', 'guesses'] as $table) {
            if ($this->database->table($table)->exists()) {
                return false;
            }
        }

        return true;
    }

    /**
     * What is in a file, and what of it stands on the shelf already.
     *
     * @param callable(int): void $progress told how many bytes were read
     *
     * @return list<array{title: string, kind: string, there: bool}>
     *
     * @throws ImportFault
     */
    public function preview(JsonRows $file, callable $progress): array
    {
        $contents = $this->checked($file, $progress);
        $match = KitchenMatch::against($this->database, $contents);
        $items = [];
        foreach ($contents->titles as $id => $title) {
            $items[] = ['title' => $title, 'kind' => 'sauce', 'there' => isset($match->sauces[$id])];
        }
        foreach (self::KINDS as $table => $kind) {
            $count = $contents->counts[$table] ?? 0;
            if ($count > 0) {
                $items[] = ['title' => "{$count} " . self::plural($kind, $count), 'kind' => $kind, 'there' => false];
            }
        }

        return $items;
    }

    public static function plural(string $kind, int $count): string
    {
        return $kind . ($count === 1 ? '' : (str_ends_with($kind, 'ch') ? 'es' : 's'));
    }

    /**
     * All of it is looked at before the first row is written.
     *
     * @param callable(int): void $progress told how many bytes were read
     *
     * @throws ImportFault when the file is no kitchen, or a row of it is not as the schema says
     */
    public function checked(JsonRows $file, callable $progress): KitchenContents
    {
        return KitchenContents::of($file, $progress, $this->columns());
    }

    /**
     * Takes a file in: its rows are laid down beside the kitchen, and come in at once.
     *
     * @template T
     *
     * @param bool $merges leave out what the kitchen has already, and all
     *     that hangs on those sauces
     * @param callable(int): void $progress told how many bytes were read
     * @param callable(array<string, list<int|string>>): T $done told the keys of what came in, by table, in the same
     *     transaction
     *
     * @return T
     *
     * @throws ImportFault when a row cannot be kept or read back; then nothing is taken in
     */
    public function read(
        JsonRows $file,
        KitchenContents $contents,
        bool $merges,
        callable $progress,
        callable $done,
    ): mixed {
        try {
            for ($gap = 0;; $gap += KitchenRows::GAP) {
                $isEmpty = $this->isEmpty();
                $match = $merges ? KitchenMatch::against($this->database, $contents) : KitchenMatch::none();
                $rows = new KitchenRows($this->database, $contents, $match, $isEmpty, $gap);
                try {
                    $rows->layDown($file, $progress);
                    $took = $this->database->transaction(function () use ($rows, $done): array {
                        $made = $rows->takeIn();

                        return $made === null ? [] : [$done($made)];
                    });
                } finally {
                    $rows->clear();
                }
                if ($took !== []) {
                    return $took[0];
                }
            }
        } catch (QueryException $fault) {
            throw ImportFault::damaged(explode("\n", $fault->getPrevious()?->getMessage() ?? '')[0]);
        }
    }

    /** @return array<string, list<string>> by table */
    private function columns(): array
    {
        return array_combine(
            array_keys(self::TABLES),
            array_map(
                fn(string $table): array => array_values($this->database->getSchemaBuilder()->getColumnListing($table)),
                array_keys(self::TABLES),
            ),
        );
    }
}
