<?php

declare(strict_types=1);

namespace App\Exchange;

/**
 * What a kitchen's file holds, once every row of it was held to the published schema. Of the rows only what tells them
 * apart is kept.
 */
final readonly class KitchenContents
{
    private const TELLS_EVERY = 25;

    /**
     * @param array<string, list<string>> $columns that there are, by table
     * @param array<int, string> $titles of sauces on the shelf, by id
     * @param array<int, string> $archived of sauces that were put away, by id
     * @param OlderRows $older what is needed to read rows of an older format
     * @param array<int, string> $sauces what tells sauces apart, by id, where their rows say it
     * @param array<int, string> $products what tells products apart, by id
     * @param array<int, string> $plans what tells plans apart, by id
     * @param list<string> $guesses what tells guesses apart
     * @param array<int, int> $batchesOf the sauce of each batch
     * @param array<string, int> $counts rows by table
     */
    private function __construct(
        public array $columns,
        public array $titles,
        public array $archived,
        public OlderRows $older,
        public array $sauces,
        public array $products,
        public array $plans,
        public array $guesses,
        public array $batchesOf,
        public array $counts,
    ) {}

    /**
     * @param callable(int): void $progress
     * @param array<string, list<string>> $columns
     *
     * @throws ImportFault that names the place
     */
    public static function of(JsonRows $file, callable $progress, array $columns): self
    {
        [$schema, $older] = [new RowSchema(base_path()), new OlderRows()];
        [
            $titles,
            $archived,
            $sauces,
            $products,
            $plans,
            $guesses,
            $batchesOf,
            $counts,
            $head,
            $seen,
            $keys,
        ] = [[], [], [], [], [], [], [], [], [], 0, []];
        foreach ($file->each() as [$table, $place, $row]) {
            if ($place < 0) {
                $head[$table] = $row;
                self::checkHead($head);
                continue;
            }
            self::checkHead($head);
            if (!isset(KitchenFile::TABLES[$table]) && $table !== OlderRows::LINES) {
                continue;
            }
            $row = is_object($row) ? $row : throw ImportFault::damaged(self::placed($table, $place) . ' is no row');
            self::hold($schema, $table, $place, $row, $older->anew($table, $row));
            if ($table === OlderRows::LINES) {
                $older->keep($row);
            }
            $fields = (array) $row;
            $key = KitchenMatch::keyOf($table, $fields);
            if (isset($keys[$table][$key])) {
                throw ImportFault::damaged(self::placed($table, $place) . ': its number stands twice');
            }
            $keys[$table][$key] = true;
            $counts[$table] = ($counts[$table] ?? 0) + 1;
            $id = self::number($fields['id'] ?? null);
            match ($table) {
                'sauces' => ($fields['deleted_at'] ?? null) === null
                    ? $titles[$id] = self::title($fields)
                    : $archived[$id] = self::title($fields),
                'products' => $products[$id] = KitchenMatch::identityKey($table, $fields),
                'plans' => $plans[$id] = KitchenMatch::identityKey($table, $fields),
                'guesses' => $guesses[] = KitchenMatch::identityKey($table, $fields),
                'batches' => $batchesOf[$id] = self::number($fields['sauce_id'] ?? null),
                default => null,
            };
            if ($table === 'sauces' && is_object($fields['recipe'] ?? null)) {
                $sauces[$id] = KitchenMatch::sauceIdentity((array) $fields['recipe']);
            }
            if (++$seen % self::TELLS_EVERY === 0) {
                $progress($file->bytesRead());
            }
        }
        self::checkHead($head, true);
        foreach ($older->sauces() as $sauce) {
            if (!isset($keys['sauces'][(string) $sauce])) {
                throw ImportFault::damaged("a line names sauce {$sauce}, which is not there");
            }
        }
        $counts['sauces'] ??= 0;

        return new self(
            $columns,
            $titles,
            $archived,
            $older,
            $sauces,
            $products,
            $plans,
            $guesses,
            $batchesOf,
            $counts,
        );
    }

    /** What tells a sauce apart: its name and lines. */
    public function sauceIdentity(int $id): string
    {
        return $this->sauces[$id] ?? KitchenMatch::sauceIdentity([
            'title' => $this->titles[$id] ?? $this->archived[$id] ?? '',
            'lines' => $this->older->of($id),
        ]);
    }

    /**
     * @param object $row as it stands in the file
     * @param object $now as it would be written now
     *
     * @throws ImportFault where it is not as the schema says
     */
    private static function hold(RowSchema $schema, string $table, int $place, object $row, object $now): void
    {
        $odd = $schema->oddIn($table, $now);
        if ($odd !== null) {
            // an older row has no recipe that it could name
            $where = $now === $row ? $odd['where'] : (string) preg_replace('~^recipe/~', '', $odd['where']);
            throw ImportFault::damaged(
                self::placed($table, $place) . ($where === '' ? '' : ", {$where}") . ': ' . $odd['why'],
            );
        }
    }

    /** @param array<mixed> $sauce a row of either format */
    private static function title(array $sauce): string
    {
        $title = is_object($sauce['recipe'] ?? null)
            ? ((array) $sauce['recipe'])['title'] ?? ''
            : $sauce['title'] ?? '';

        return is_string($title) ? $title : '';
    }

    /** @param array<string, mixed> $head what stands at the top of the file, so far */
    private static function checkHead(array $head, bool $isAll = false): void
    {
        if (($isAll || isset($head['vinculum'])) && ($head['vinculum'] ?? null) !== 'kitchen') {
            throw ImportFault::noKitchen();
        }
        if (($isAll || isset($head['version'])) && !in_array($head['version'] ?? null, KitchenFile::READ, true)) {
            throw ImportFault::version(is_int($head['version'] ?? null) ? $head['version'] : 0);
        }
    }

    private static function placed(string $table, int $place): string
    {
        return sprintf('row %d of %s', $place + 1, $table);
    }

    private static function number(mixed $value): int
    {
        return is_int($value) ? $value : 0;
    }
}
