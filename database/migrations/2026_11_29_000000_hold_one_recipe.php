<?php

declare(strict_types=1);

use App\Recipes\SauceService;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * A sauce, its versions and its batches each hold their recipe in one column, as it is sent, instead of in ten columns
 * and a table of lines. What is seen of a sauce before it is opened holds its colour and its size.
 */
return new class extends Migration {
    private const TABLES = ['sauces', 'versions', 'batches'];
    private const TEXTS = ['title', 'style', 'measures', 'yield', 'pan'];
    private const LISTS = ['method', 'set_aside', 'let_go'];

    public function up(): void
    {
        // all of it or nothing, and one write to the disk for all rows
        DB::transaction(fn() => $this->fold());
    }

    public function down(): void
    {
        DB::transaction(fn() => $this->unfold());
    }

    private function fold(): void
    {
        foreach (self::TABLES as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->json('recipe')->default('{}');
            });
            DB::table($name)->orderBy('id')->eachById(function (object $row) use ($name): void {
                DB::table($name)->where('id', $row->id)->update(['recipe' => $this->recipe($name, (array) $row)]);
            });
            Schema::dropColumns($name, [
                ...self::TEXTS,
                ...self::LISTS,
                'part_ml',
                'servings',
                ...($name === 'sauces' ? [] : ['lines']),
            ]);
        }
        Schema::drop('lines');
        // every line is looked through for the names of sauces
        DB::statement('CREATE INDEX sauces_title_index ON sauces (deleted_at, json_extract(recipe, \'$."title"\'))');
        app(SauceService::class)->weighAll();
    }

    private function unfold(): void
    {
        DB::statement('DROP INDEX sauces_title_index');
        Schema::create('lines', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sauce_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->text('text');
            $table->unique(['sauce_id', 'position']);
        });
        foreach (self::TABLES as $name) {
            Schema::table($name, static function (Blueprint $table) use ($name): void {
                $table->string('title')->default('');
                $table->string('style')->nullable();
                $table->string('measures')->default('us');
                $table->string('yield')->nullable();
                $table->string('pan')->nullable();
                $table->decimal('part_ml', 10, 3)->nullable();
                $table->unsignedInteger('servings')->nullable();
                foreach (self::LISTS as $list) {
                    $table->json($list)->nullable();
                }
                if ($name !== 'sauces') {
                    $table->json('lines')->default('[]');
                }
            });
            DB::table($name)->orderBy('id')->eachById(function (object $row) use ($name): void {
                $this->spread($name, (int) $row->id, json_decode((string) $row->recipe, true));
            });
            Schema::dropColumns($name, ['recipe']);
        }
    }

    /** @param array<string, mixed> $row */
    private function recipe(string $table, array $row): string
    {
        $list = static fn(string $column): mixed => json_decode((string) ($row[$column] ?? '[]'), true) ?? [];

        return json_encode(
            [
                ...array_intersect_key($row, array_flip(self::TEXTS)),
                'part_ml' => $row['part_ml'] === null ? null : (float) $row['part_ml'],
                'servings' => $row['servings'],
                ...array_combine(self::LISTS, array_map($list, self::LISTS)),
                'lines' => $table === 'sauces'
                    ? DB::table('lines')->where('sauce_id', $row['id'])->orderBy('position')->pluck('text')->all()
                    : $list('lines'),
            ],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
        );
    }

    /** @param array<string, mixed> $recipe */
    private function spread(string $table, int $id, array $recipe): void
    {
        $lines = array_values((array) $recipe['lines']);
        DB::table($table)->where('id', $id)->update([
            ...array_intersect_key($recipe, array_flip([...self::TEXTS, 'part_ml', 'servings'])),
            ...array_map(json_encode(...), array_intersect_key($recipe, array_flip(self::LISTS))),
            ...($table === 'sauces' ? [] : ['lines' => json_encode($lines)]),
        ]);
        foreach ($table === 'sauces' ? $lines : [] as $position => $text) {
            DB::table('lines')->insert(['sauce_id' => $id, 'position' => $position, 'text' => $text]);
        }
    }
};
