<?php

declare(strict_types=1);

namespace App\Exchange;

/**
 * Rows of a kitchen's file of an earlier format, as they are written since: in 1 and 2 a recipe stood in ten columns, and
 * the lines of a sauce in a list of their own; up to 3 a line was its text alone.
 */
final class OlderRows
{
    public const LINES = 'lines';

    private const TABLES = ['sauces', 'versions', 'batches'];
    private const LISTS = ['method', 'set_aside', 'let_go', 'aim'];
    private const COLUMNS = [
        'title',
        'style',
        'measures',
        'yield',
        'part_ml',
        'pan',
        'servings',
        'lines',
        ...self::LISTS,
    ];

    /** @var array<int, list<array{int, string}>> positions and texts by sauce */
    private array $lines = [];

    /** Keeps a row of the list of lines until the sauces are written. */
    public function keep(object $row): void
    {
        $fields = (array) $row;
        [$sauce, $position, $text] = [$fields['sauce_id'] ?? 0, $fields['position'] ?? 0, $fields['text'] ?? ''];
        if (is_int($sauce) && is_int($position) && is_string($text)) {
            $this->lines[$sauce][] = [$position, $text];
        }
    }

    /** The row as it would be written now; itself where it is. */
    public function anew(string $table, object $row): object
    {
        $fields = (array) $row;
        if (!in_array($table, self::TABLES, true)) {
            return $row;
        }
        if (array_key_exists('recipe', $fields)) {
            /** @var array<string, mixed> $recipe */
            $recipe = is_object($fields['recipe']) ? (array) $fields['recipe'] : [];

            return self::areTexts($recipe['lines'] ?? null)
                ? (object) [...$fields, 'recipe' => self::numbered($table, $recipe)]
                : $row;
        }
        $stood = array_flip(self::COLUMNS);
        $recipe = [...array_fill_keys(self::COLUMNS, null), ...array_intersect_key($fields, $stood)];
        foreach (self::LISTS as $list) {
            $recipe[$list] ??= [];
        }
        if ($table === 'sauces') {
            $recipe['lines'] = $this->of(is_int($fields['id'] ?? null) ? $fields['id'] : 0);
        }

        return (object) [...array_diff_key($fields, $stood), 'recipe' => self::numbered($table, $recipe)];
    }

    private static function areTexts(mixed $lines): bool
    {
        return is_array($lines) && $lines !== [] && array_filter($lines, is_string(...)) === $lines;
    }

    /** @param array<string, mixed> $recipe whose lines are texts */
    private static function numbered(string $table, array $recipe): object
    {
        $lines = [];
        foreach (self::areTexts($recipe['lines'] ?? null) ? (array) $recipe['lines'] : [] as $text) {
            $lines[] = (object) [
                'id' => count($lines) + 1,
                'text' => $text,
                ...($table === 'batches' ? ['apart' => true] : []),
            ];
        }

        return (object) [...$recipe, ...(self::areTexts($recipe['lines'] ?? null) ? ['lines' => $lines] : [])];
    }

    /** @return list<string> the lines of a sauce */
    public function of(int $sauce): array
    {
        $lines = $this->lines[$sauce] ?? [];
        usort($lines, static fn(array $one, array $other): int => $one[0] <=> $other[0]);

        return array_column($lines, 1);
    }

    /** @return list<int> sauces that lines were given of */
    public function sauces(): array
    {
        return array_keys($this->lines);
    }
}
