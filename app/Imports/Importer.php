<?php

declare(strict_types=1);

namespace App\Imports;

use App\Exchange\ImportFault;
use App\Exchange\JsonRows;
use App\Exchange\KitchenFile;
use App\Exchange\Tables;
use App\Recipes\HomeKitchen;
use App\Recipes\Sauce;
use App\Recipes\SauceService;
use Illuminate\Database\Connection;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Ingredient\LabelFault;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;

/**
 * Takes in recipes, tables and whole kitchens, whatever they come in; each as one move that can be undone.
 *
 * @phpstan-type ImportPreview array{kind: string, items: list<array{title: string, kind: string, there: bool}>}
 */
final readonly class Importer
{
    /** Tables whose rows hang on those of another: by which column, and what one of them is. */
    private const HANGS_ON = [
        'batches' => ['sauce_id', 'sauces', 'batch'],
        'tastings' => ['sauce_id', 'sauces', 'tasting'],
        'doses' => ['batch_id', 'batches', 'dose'],
        'jars' => ['batch_id', 'batches', 'jar'],
        'cook_events' => ['batch_id', 'batches', 'event'],
    ];

    public function __construct(
        private SauceService $sauceService,
        private KitchenFile $file,
        private Tables $tables,
        private HomeKitchen $homeKitchen,
        private Connection $database,
    ) {}

    /**
     * What would happen.
     *
     * @return ImportPreview
     *
     * @throws RecipeFault|ImportFault
     */
    public function preview(Incoming $incoming): array
    {
        $kitchen = self::kitchenIn($incoming);
        if ($kitchen !== null) {
            return ['kind' => 'kitchen', 'items' => $this->file->preview($kitchen, $incoming->progress())];
        }
        $contents = $incoming->contents();
        $name = Tables::in($contents);
        $table = $name === null ? null : $this->tables->named($name);
        if ($table !== null) {
            return ['kind' => (string) $name, 'items' => $table->preview($contents)];
        }
        $recipes = $this->homeKitchen->kitchen()->readAll($contents);
        $standing = self::standing($recipes);

        return [
            'kind' => 'recipes',
            'items' => array_map(
                static fn(Recipe $recipe): array => [
                    'title' => $recipe->title,
                    'kind' => sprintf('%d lines', count($recipe->ingredientTexts())),
                    'there' => self::stands($recipe, $standing),
                ],
                $recipes,
            ),
        ];
    }

    /**
     * Takes it in.
     *
     * @param bool $merges leave out what is there already
     * @param string|null $key the same key twice is one move
     *
     * @throws RecipeFault|ImportFault|LabelFault
     */
    public function take(Incoming $incoming, Measures $measures, bool $merges, ?string $key = null): Import
    {
        $before = $key === null ? null : Import::query()->where('key', $key)->first();
        if ($before !== null) {
            return $before;
        }
        $kitchen = self::kitchenIn($incoming);
        if ($kitchen !== null) {
            // others go on writing while it is looked at and laid down
            $import = $this->file->read(
                $kitchen,
                $this->file->checked($kitchen, $incoming->progress()),
                $merges,
                $incoming->progress(),
                static fn(array $made): Import => self::note($made, $key),
            );
        } else {
            $import = $this->database->transaction(function () use ($incoming, $measures, $merges, $key): Import {
                $contents = $incoming->contents();
                $table = $this->tables->named((string) Tables::in($contents));

                return self::note(
                    $table === null
                        ? ['sauces' => $this->recipes($this->homeKitchen->kitchen()->readAll($contents), $measures, $merges)]
                        : $table->take($contents, $measures, $merges),
                    $key,
                );
            });
        }
        $incoming->done();
        // what a file says of it is not believed; others go on writing meanwhile
        if ($kitchen !== null) {
            $this->sauceService->weigh(
                array_map(intval(...), $import->made['sauces'] ?? []),
                array_map(intval(...), $import->made['versions'] ?? []),
            );
        }

        return $import;
    }

    /**
     * Notes what came in.
     *
     * @param array<string, list<int|string>> $made keys by table
     */
    private static function note(array $made, ?string $key): Import
    {
        $says = [];
        foreach ([
            'sauces' => 'sauce',
            'batches' => 'batch',
            'products' => 'own product',
            'plans' => 'plan',
        ] as $of => $kind) {
            $count = count($made[$of] ?? []);
            if ($count > 0) {
                $says[] = "{$count} " . KitchenFile::plural($kind, $count);
            }
        }

        return Import::query()->create([
            'says' => $says === [] ? 'nothing that was not there' : implode(', ', $says),
            'made' => [...$made, 'revisions' => self::revisions($made['sauces'] ?? [])],
            'key' => $key,
        ]);
    }

    /** A kitchen may be of any size, and takes the time that it takes; nothing else does. */
    private static function kitchenIn(Incoming $incoming): ?JsonRows
    {
        $kitchen = $incoming->kitchen();
        if ($kitchen !== null) {
            set_time_limit(0);
        }

        return $kitchen;
    }

    /**
     * What each sauce stood at when it came in: "id-revision".
     *
     * @param list<int|string> $sauces
     *
     * @return list<string>
     */
    private static function revisions(array $sauces): array
    {
        $revisions = [];
        foreach (array_chunk($sauces, 500) as $some) {
            /** @var Sauce $sauce */
            foreach (Sauce::withTrashed()->whereIn('id', $some)->get(['id', 'revision']) as $sauce) {
                $revisions[] = "{$sauce->id}-{$sauce->revision}";
            }
        }

        return $revisions;
    }

    /**
     * Takes out again all that came in with one move.
     *
     * @throws ImportFault where something was made of it since: nothing is taken out then
     */
    public function undo(Import $import): void
    {
        $this->database->transaction(function () use ($import): void {
            $since = $this->madeSince($import);
            if ($since !== []) {
                throw ImportFault::usedSince($since);
            }
            foreach (array_reverse(array_keys(KitchenFile::TABLES)) as $table) {
                foreach (array_chunk($import->made[$table] ?? [], 500) as $some) {
                    match ($table) {
                        'settings' => $this->database->table($table)->whereIn('name', $some)->delete(),
                        'weighed_cooks' => $this->database->table($table)->whereIn('batch_id', $some)->delete(),
                        'sauce_parts' => $this->forgetParts($some),
                        default => $this->database->table($table)->whereIn('id', $some)->delete(),
                    };
                }
            }
            $import->update(['undone_at' => now()]);
        });
    }

    /**
     * What hangs on rows that came in, and did not come in with them.
     *
     * @return list<string> in words
     */
    private function madeSince(Import $import): array
    {
        $made = $import->made;
        $since = [];
        foreach (self::HANGS_ON as $table => [$column, $on, $one]) {
            [$count, $came] = [0, array_flip($made[$table] ?? [])];
            foreach (array_chunk($made[$on] ?? [], 500) as $some) {
                foreach ($this->database->table($table)->whereIn($column, $some)->pluck('id') as $id) {
                    $count += is_int($id) && isset($came[$id]) ? 0 : 1;
                }
            }
            if ($count > 0) {
                $since[] = "{$count} " . KitchenFile::plural($one, $count);
            }
        }
        $edited = count(array_diff(self::revisions($made['sauces'] ?? []), $made['revisions'] ?? []));
        if ($edited > 0 && isset($made['revisions'])) {
            $since[] = $edited === 1 ? 'a sauce that was edited' : "{$edited} sauces that were edited";
        }

        return $since;
    }

    /** @param array<int|string> $pairs "sauce-part" */
    private function forgetParts(array $pairs): void
    {
        foreach ($pairs as $pair) {
            [$sauce, $part] = [...explode('-', (string) $pair), '0'];
            $this->database
                ->table('sauce_parts')
                ->where('sauce_id', (int) $sauce)
                ->where('part_id', (int) $part)
                ->delete();
        }
    }

    /**
     * @param list<Recipe> $recipes
     *
     * @return array<string, list<list<string>>> lines of the sauces on the shelf that are called as one of them, by
     *     title
     */
    private static function standing(array $recipes): array
    {
        $standing = [];
        $titles = array_values(
            array_unique(array_map(static fn(Recipe $recipe): string => $recipe->title, $recipes)),
        );
        foreach (array_chunk($titles, 400) as $some) {
            /** @var Sauce $sauce */
            foreach (Sauce::query()->whereIn('recipe->title', $some)->get() as $sauce) {
                $standing[$sauce->recipe->title][] = $sauce->recipe->texts();
            }
        }

        return $standing;
    }

    /** @param array<string, list<list<string>>> $standing */
    private static function stands(Recipe $recipe, array $standing): bool
    {
        return in_array($recipe->texts(), $standing[$recipe->title] ?? [], true);
    }

    /**
     * @param list<Recipe> $recipes
     *
     * @return list<int>
     */
    private function recipes(array $recipes, Measures $measures, bool $merges): array
    {
        $made = [];
        $standing = $merges ? self::standing($recipes) : [];
        foreach ($recipes as $recipe) {
            if (self::stands($recipe, $standing)) {
                continue;
            }
            $made[] = $this->sauceService->add(SauceService::fitting($recipe, $measures))->id;
        }

        return $made;
    }

}
