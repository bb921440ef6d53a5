<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Kitchen\KitchenFile;
use App\Kitchen\Pantry;
use App\Kitchen\SauceEdit;
use App\Models\Batch;
use App\Models\Product;
use App\Models\Sauce;
use Illuminate\Http\Response;
use Vinculum\Exchange\Csv;
use Vinculum\Exchange\Recipe;
use Vinculum\Exchange\RecipeLine;
use Vinculum\Exchange\RecipeWriter;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Mixture\Component;
use Vinculum\Reading\ResolvedLine;

/** Taking out: nothing is locked in. */
final readonly class ExportController
{
    private const PRODUCT = ['name', 'like', 'stands_in', 'in_stock', 'price', 'pack_grams', 'fat', 'carbohydrate', 'sugars', 'protein', 'salt', 'sodium', 'acidity', 'shu'];

    public function kitchen(KitchenFile $file): Response
    {
        return self::file(json_encode($file->write(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT | JSON_PRESERVE_ZERO_FRACTION), 'application/json', 'kitchen.json');
    }

    public function schema(): Response
    {
        return self::file((string) file_get_contents(base_path('docs/kitchen.schema.json')), 'application/schema+json', 'kitchen.schema.json');
    }

    public function sauce(int $sauce, string $form): Response
    {
        $recipe = self::recipe(SauceEdit::asItStands(Sauce::query()->with('lines')->findOrFail($sauce)));
        $name = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower($recipe->title ?? '')), '-') ?: 'sauce';

        return $form === 'text'
            ? self::file(RecipeWriter::text($recipe), 'text/plain', "{$name}.txt")
            : self::file(json_encode(RecipeWriter::jsonLd($recipe), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT), 'application/ld+json', "{$name}.json");
    }

    public function table(string $table, Pantry $pantry): Response
    {
        $csv = match ($table) {
            'ingredients' => self::ingredients(array_values($pantry->catalogue()->all())),
            'products' => self::products(),
            default => self::batches(),
        };

        return self::file($csv, 'text/csv', "{$table}.csv");
    }

    private static function recipe(SauceEdit $edit): Recipe
    {
        [$lines, $stage] = [[], null];
        foreach ($edit->lines as $text) {
            if (ResolvedLine::isHeading($text)) {
                $stage = rtrim(trim($text), ': ');
            } else {
                $lines[] = new RecipeLine($text, $stage === '' ? null : $stage);
            }
        }

        return new Recipe($edit->title, $edit->style, $edit->yield, $edit->pan, $lines, $edit->method);
    }

    /** @param list<Ingredient> $ingredients */
    private static function ingredients(array $ingredients): string
    {
        $masses = array_map(static fn(Component $one): string => $one->value, array_filter(Component::cases(), static fn(Component $one): bool => $one->isMass()));
        $rows = array_map(static fn(Ingredient $one): array => ['key' => $one->key, 'name' => $one->name, 'density' => $one->density, 'allergens' => implode(' ', $one->allergens), ...array_combine($masses, array_map(static fn(string $component): float => round($one->mixture->get(Component::from($component)), 6), $masses))], $ingredients);

        return Csv::write(['key', 'name', 'density', 'allergens', ...array_values($masses)], $rows);
    }

    private static function products(): string
    {
        /** @var list<Product> $products */
        $products = Product::query()->orderBy('id')->get()->all();
        $label = static fn(Product $one): array => array_map(static fn(mixed $value): string|float|null => is_numeric($value) ? (float) $value : (is_string($value) ? $value : null), $one->label);

        return Csv::write(self::PRODUCT, array_map(static fn(Product $one): array => [...$label($one), 'name' => $one->name, 'like' => $one->like, 'stands_in' => $one->stands_in, 'in_stock' => $one->in_stock, 'price' => $one->price, 'pack_grams' => $one->pack_grams], $products));
    }

    private static function batches(): string
    {
        /** @var list<Batch> $batches */
        $batches = Batch::query()->withCount(['doses', 'tastings'])->orderBy('id')->get()->all();

        return Csv::write(['id', 'sauce', 'version', 'title', 'style', 'made', 'pan_grams', 'doses', 'tastings'], array_map(static function (Batch $one): array {
            [$doses, $tastings] = [$one->getAttribute('doses_count'), $one->getAttribute('tastings_count')];

            return ['id' => $one->id, 'sauce' => $one->sauce_id, 'version' => $one->version, 'title' => $one->title, 'style' => $one->style, 'made' => $one->created_at?->toIso8601String(), 'pan_grams' => $one->pan_grams, 'doses' => is_int($doses) ? $doses : 0, 'tastings' => is_int($tastings) ? $tastings : 0];
        }, $batches));
    }

    private static function file(string $contents, string $kind, string $name): Response
    {
        return new Response($contents, 200, ['Content-Type' => "{$kind}; charset=utf-8", 'Content-Disposition' => "attachment; filename=\"{$name}\""]);
    }
}
