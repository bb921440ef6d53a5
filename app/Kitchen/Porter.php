<?php

declare(strict_types=1);

namespace App\Kitchen;

use App\Models\Import;
use App\Models\Sauce;
use Illuminate\Database\Connection;
use Vinculum\Exchange\Recipe;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Ingredient\LabelFault;
use Vinculum\Quantity\Measures;
use Vinculum\Style\StyleBook;

/** Takes in recipes, tables and whole kitchens, whatever they come in; each as one move that can be undone. */
final readonly class Porter
{
    private const DEEPEST = 64;

    public function __construct(private Shelf $shelf, private KitchenFile $file, private Tables $tables, private Connection $database) {}

    /**
     * What would happen.
     *
     * @return array{kind: string, items: list<array{title: string, kind: string, there: bool}>}
     *
     * @throws RecipeFault|ImportFault
     */
    public function preview(string $contents): array
    {
        $kitchen = self::kitchenIn($contents);
        if ($kitchen !== null) {
            return ['kind' => 'kitchen', 'items' => $this->file->preview($kitchen)];
        }
        $table = Tables::in($contents);
        if ($table !== null) {
            return ['kind' => $table, 'items' => $this->tables->preview($table, $contents)];
        }

        return ['kind' => 'recipes', 'items' => array_map(fn(Recipe $recipe): array => ['title' => $recipe->title ?? '', 'kind' => sprintf('%d lines', count($recipe->lines)), 'there' => $this->stands($recipe)], RecipeReader::readAll($contents))];
    }

    /**
     * Takes it in.
     *
     * @param bool $merges leave out what is there already
     *
     * @throws RecipeFault|ImportFault|LabelFault
     */
    public function take(string $contents, Measures $measures, bool $merges): Import
    {
        return $this->database->transaction(function () use ($contents, $measures, $merges): Import {
            [$kitchen, $table] = [self::kitchenIn($contents), Tables::in($contents)];
            $made = match (true) {
                $kitchen !== null => $this->file->read($kitchen, $merges),
                $table !== null => $this->tables->take($table, $contents, $measures, $merges),
                default => ['sauces' => $this->recipes(RecipeReader::readAll($contents), $measures, $merges)],
            };
            $counts = array_filter(['sauce' => count($made['sauces'] ?? []), 'batch' => count($made['batches'] ?? []), 'own product' => count($made['products'] ?? [])]);
            $says = $counts === [] ? 'nothing that was not there' : implode(', ', array_map(static fn(string $what, int $count): string => "{$count} {$what}" . ($count === 1 ? '' : ($what === 'batch' ? 'es' : 's')), array_keys($counts), $counts));

            return Import::query()->create(['says' => $says, 'made' => $made]);
        });
    }

    /** Takes out again all that came in with one move. */
    public function undo(Import $import): void
    {
        $this->database->transaction(function () use ($import): void {
            foreach (array_reverse($import->made) as $table => $ids) {
                foreach (array_chunk($ids, 500) as $some) {
                    $this->database->table($table)->whereIn('id', $some)->delete();
                }
            }
            $import->update(['undone_at' => now()]);
        });
    }

    /** @return array<mixed>|null */
    private static function kitchenIn(string $contents): ?array
    {
        if (!str_contains(substr($contents, 0, 400), '"vinculum"')) {
            return null;
        }
        $found = json_decode($contents, false, self::DEEPEST);

        return is_object($found) ? (array) $found : throw ImportFault::damaged('it is cut short, or no JSON');
    }

    private function stands(Recipe $recipe): bool
    {
        /** @var list<Sauce> $same */
        $same = Sauce::query()->with('lines')->where('title', $recipe->title ?? '')->get()->all();

        return array_filter($same, static fn(Sauce $sauce): bool => $sauce->texts() === $recipe->textsWithHeadings()) !== [];
    }

    /**
     * @param list<Recipe> $recipes
     *
     * @return list<int>
     */
    private function recipes(array $recipes, Measures $measures, bool $merges): array
    {
        $made = [];
        foreach ($recipes as $recipe) {
            if ($merges && $this->stands($recipe)) {
                continue;
            }
            $style = $recipe->style !== null && StyleBook::has($recipe->style) ? $recipe->style : null;
            $made[] = $this->shelf->add(new SauceEdit(mb_substr($recipe->title ?? '', 0, 200), $style, $measures, $recipe->yield === null ? null : mb_substr($recipe->yield, 0, 200), $recipe->textsWithHeadings(), null, null, $recipe->method, $recipe->pan === null ? null : mb_substr($recipe->pan, 0, 100)))->id;
        }

        return $made;
    }
}
