<?php

declare(strict_types=1);

namespace App\Kitchen;

use App\Models\Import;
use App\Models\Product;
use App\Models\Sauce;
use Illuminate\Database\Connection;
use Vinculum\Exchange\Csv;
use Vinculum\Exchange\Recipe;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Ingredient\LabelFault;
use Vinculum\Quantity\Measures;
use Vinculum\Style\StyleBook;

/** Takes in recipes, own products and whole kitchens, whatever they come in; each as one move that can be undone. */
final readonly class Porter
{
    private const DEEPEST = 64;
    private const LABEL = ['fat', 'carbohydrate', 'sugars', 'protein', 'salt', 'sodium', 'acidity', 'shu'];

    public function __construct(private Shelf $shelf, private KitchenFile $file, private Pantry $pantry, private Connection $database) {}

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
        if (self::isProducts($contents)) {
            $names = Product::query()->pluck('name')->all();

            return ['kind' => 'products', 'items' => array_map(static fn(array $row): array => ['title' => $row['name'] ?? '', 'kind' => 'own product', 'there' => in_array($row['name'] ?? '', $names, true)], Csv::read($contents))];
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
            $kitchen = self::kitchenIn($contents);
            $made = match (true) {
                $kitchen !== null => $this->file->read($kitchen, $merges),
                self::isProducts($contents) => ['products' => $this->products(Csv::read($contents), $merges)],
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

    private static function isProducts(string $contents): bool
    {
        return preg_match('/^\x{FEFF}?"?name"?[,;].*\blike\b/u', strtolower(strtok($contents, "\r\n") ?: '')) === 1;
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

    /**
     * @param list<array<string, string>> $rows
     *
     * @return list<int>
     *
     * @throws LabelFault|ImportFault
     */
    private function products(array $rows, bool $merges): array
    {
        $made = [];
        foreach ($rows as $number => $row) {
            $like = $row['like'] ?? '';
            if (($row['name'] ?? '') === '' || !$this->pantry->catalogue()->has($like)) {
                throw ImportFault::damaged(sprintf('line %d: "%s" is no ingredient to be like', $number + 2, $like));
            }
            if ($merges && Product::query()->where('name', $row['name'])->exists()) {
                continue;
            }
            $figure = static fn(string $field): ?float => is_numeric($row[$field] ?? null) ? (float) $row[$field] : null;
            $product = new Product(['name' => $row['name'], 'like' => $like, 'label' => array_filter(array_combine(self::LABEL, array_map($figure, self::LABEL)), static fn(?float $value): bool => $value !== null), 'stands_in' => ($row['stands_in'] ?? '') === 'yes', 'in_stock' => ($row['in_stock'] ?? '') === 'yes', 'price' => $figure('price'), 'pack_grams' => $figure('pack_grams')]);
            $this->pantry->keep($product);
            $made[] = $product->id;
        }

        return $made;
    }
}
