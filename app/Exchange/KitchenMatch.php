<?php

declare(strict_types=1);

namespace App\Exchange;

use Illuminate\Database\Connection;

/** What of a kitchen's file the kitchen has already: the same things under other numbers. */
final readonly class KitchenMatch
{
    /** The columns that tell rows of a table apart. */
    private const TELLING = [
        'products' => ['name', 'like', 'label', 'price', 'pack_grams'],
        'plans' => ['title', 'ready', 'zone'],
        'guesses' => ['axis', 'level', 'right', 'created_at'],
    ];
    /** Primary keys of tables that have no id. */
    private const KEYS = [
        'sauce_parts' => ['sauce_id', 'part_id'],
        'weighed_cooks' => ['batch_id'],
        'settings' => ['name'],
    ];

    /**
     * @param array<int, int> $sauces number here by number in the file
     * @param array<int, int> $products
     * @param array<int, int> $plans
     * @param array<string, int> $guesses how many are here already, by what tells them apart
     */
    private function __construct(
        public array $sauces,
        public array $products,
        public array $plans,
        public array $guesses,
    ) {}

    public static function none(): self
    {
        return new self([], [], [], []);
    }

    public static function against(Connection $database, KitchenContents $contents): self
    {
        $sauces = [];
        foreach ([[false, $contents->titles], [true, $contents->archived]] as [$withArchived, $titles]) {
            // what was put away is there too, where it was put away in the file as well
            $standing = $titles === [] ? [] : self::sauces($database, $withArchived);
            foreach (array_keys($titles) as $id) {
                $there = $standing[$contents->sauceIdentity($id)] ?? null;
                if ($there !== null) {
                    $sauces[$id] = $there;
                }
            }
        }
        [$products, $plans] = [self::rows($database, 'products'), self::rows($database, 'plans')];
        $guesses = [];
        foreach ($database->table('guesses')->get() as $row) {
            $tells = self::identityKey('guesses', (array) $row);
            $guesses[$tells] = ($guesses[$tells] ?? 0) + 1;
        }

        return new self(
            $sauces,
            self::pairs($contents->products, $products),
            self::pairs($contents->plans, $plans),
            $guesses,
        );
    }

    /** @param array<mixed> $row of the file, or of the database */
    public static function identityKey(string $table, array $row): string
    {
        return md5(
            (string) json_encode(
                array_map(
                    static fn(string $column): mixed => self::comparable($row[$column] ?? null),
                    self::TELLING[$table] ?? [],
                ),
                JSON_PARTIAL_OUTPUT_ON_ERROR,
            ),
        );
    }

    /** @param array<mixed> $recipe of any format, of which the name and what its lines read tell it apart */
    public static function sauceIdentity(array $recipe): string
    {
        $lines = is_array($recipe['lines'] ?? null) ? $recipe['lines'] : [];
        $texts = array_map(
            static fn(mixed $line): mixed => is_string($line) ? $line : ((array) $line)['text'] ?? '',
            $lines,
        );

        return md5((string) json_encode([$recipe['title'] ?? '', $texts], JSON_PARTIAL_OUTPUT_ON_ERROR));
    }

    /** @param array<mixed> $row */
    public static function keyOf(string $table, array $row): string
    {
        return implode(
            '-',
            array_map(
                static fn(string $column): string => is_scalar($row[$column] ?? null) ? (string) $row[$column] : '',
                self::KEYS[$table] ?? ['id'],
            ),
        );
    }

    /**
     * @param array<int, string> $named what tells rows of the file apart, by number
     * @param array<string, int> $here numbers here, by what tells them apart
     *
     * @return array<int, int>
     */
    private static function pairs(array $named, array $here): array
    {
        $pairs = [];
        foreach ($named as $id => $tells) {
            if (isset($here[$tells])) {
                $pairs[$id] = $here[$tells];
            }
        }

        return $pairs;
    }

    private static function comparable(mixed $value): mixed
    {
        if (is_string($value) && str_starts_with($value, '{') || $value === '[]') {
            $value = json_decode((string) $value, true);
        }
        if (is_object($value) || is_array($value)) {
            $value = (array) $value;
            ksort($value);

            return array_map(self::comparable(...), $value);
        }

        return is_bool($value) || is_int($value) ? (float) $value : $value;
    }

    /** @return array<string, int> ids of the sauces on the shelf, or of all, by what tells them apart */
    private static function sauces(Connection $database, bool $withArchived): array
    {
        $standing = [];
        $sauces = $database->table('sauces')->orderBy('id');
        foreach (($withArchived ? $sauces : $sauces->whereNull('deleted_at'))->cursor() as $sauce) {
            $fields = (array) $sauce;
            $recipe = json_decode(is_string($fields['recipe'] ?? null) ? $fields['recipe'] : '', true);
            $standing[self::sauceIdentity((array) $recipe)] = is_int($fields['id'] ?? null) ? $fields['id'] : 0;
        }

        return $standing;
    }

    /** @return array<string, int> ids by what tells them apart */
    private static function rows(Connection $database, string $table): array
    {
        $found = [];
        foreach ($database->table($table)->get() as $row) {
            $fields = (array) $row;
            if (($fields['deleted_at'] ?? null) === null) {
                $found[self::identityKey($table, $fields)] = is_int($fields['id'] ?? null) ? $fields['id'] : 0;
            }
        }

        return $found;
    }
}
