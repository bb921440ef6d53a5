<?php

declare(strict_types=1);

namespace App\Plain\Copies;

/**
 * What the database of a kitchen is built like, after each migration. bin/derive-schemas writes it into
 * database/schemas.json, so that a copy can be held to it where nothing is installed.
 */
final readonly class KitchenSchema
{
    /** @param array<string, list<string>> $sql by the newest migration seen */
    private function __construct(private array $sql) {}

    public static function ofThisVersion(string $root): self
    {
        /** @var array<string, list<string>> $sql */
        $sql = json_decode((string) file_get_contents("{$root}/database/schemas.json"), true, 8, JSON_THROW_ON_ERROR);

        return new self($sql);
    }

    public static function normalised(string $sql): string
    {
        return trim((string) preg_replace('/\s+/', ' ', $sql));
    }

    public function newest(): string
    {
        return max(['', ...array_keys($this->sql)]);
    }

    /**
     * What in a database is not as ours was after that migration.
     *
     * @param list<string> $sql
     *
     * @return string|null the first thing that is other, missing or too much; null where nothing is
     */
    public function difference(string $migration, array $sql): ?string
    {
        $ours = $this->sql[$migration] ?? null;
        if ($ours === null) {
            return "the state {$migration}";
        }
        $odd = [...array_values(array_diff($sql, $ours)), ...array_values(array_diff($ours, $sql))][0] ?? null;

        return $odd === null
            ? null
            : (preg_match(
                '/^CREATE (?:UNIQUE )?(\w+) ["`\[]?(\w+)/i',
                $odd,
                $found,
            ) === 1 ? strtolower($found[1]) . " {$found[2]}" : 'something unnamed');
    }
}
