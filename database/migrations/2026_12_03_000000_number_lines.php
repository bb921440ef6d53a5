<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Each line of a recipe has a number of its own, which it keeps through edits, instead of being known by its place. A line
 * of an earlier version that reads as one of the sauce does has its number; of a batch, each line names one thing.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::transaction(function (): void {
            foreach ($this->rows('sauces') as $id => $recipe) {
                $lines = $recipe['lines'] = self::numbered((array) $recipe['lines'], []);
                $this->store('sauces', $id, $recipe);
                foreach ($this->rows('versions', $id) as $version => $kept) {
                    $kept['lines'] = self::numbered((array) $kept['lines'], $lines);
                    $this->store('versions', $version, $kept);
                }
            }
            foreach ($this->rows('batches') as $id => $recipe) {
                $apart = static fn(array $line): array => [...$line, 'apart' => true];
                $lines = array_map($apart, self::numbered((array) $recipe['lines'], []));
                $this->store('batches', $id, ['lines' => $lines] + $recipe);
            }
        });
    }

    public function down(): void
    {
        DB::transaction(function (): void {
            foreach (['sauces', 'versions', 'batches'] as $table) {
                foreach ($this->rows($table) as $id => $recipe) {
                    $this->store($table, $id, ['lines' => array_column((array) $recipe['lines'], 'text')] + $recipe);
                }
            }
        });
    }

    /** @return \Generator<int, array<string, mixed>> recipes by the number of their row */
    private function rows(string $table, ?int $sauce = null): \Generator
    {
        $rows = DB::table($table)->when($sauce !== null, static fn($query) => $query->where('sauce_id', $sauce));
        foreach ($rows->orderBy('id')->pluck('recipe', 'id') as $id => $recipe) {
            $recipe = json_decode((string) $recipe, true);
            if (is_array($recipe['lines'] ?? null)) {
                yield (int) $id => $recipe;
            }
        }
    }

    /** @param array<string, mixed> $recipe */
    private function store(string $table, int $id, array $recipe): void
    {
        DB::table($table)->where('id', $id)->update(['recipe' => json_encode(
            $recipe,
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        )]);
    }

    /**
     * @param array<mixed> $texts
     * @param list<array{id: int, text: string}> $like lines that have numbers already
     *
     * @return list<array{id: int, text: string}>
     */
    private static function numbered(array $texts, array $like): array
    {
        $next = max([0, ...array_column($like, 'id')]) + 1;
        $lines = [];
        foreach (array_map(strval(...), array_values($texts)) as $text) {
            $same = array_search($text, array_column($like, 'text'), true);
            $lines[] = ['id' => $same === false ? $next++ : $like[$same]['id'], 'text' => $text];
            array_splice($like, (int) $same, $same === false ? 0 : 1);
        }

        return $lines;
    }
};
