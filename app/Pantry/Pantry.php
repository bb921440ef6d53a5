<?php

declare(strict_types=1);

namespace App\Pantry;

use Illuminate\Database\Eloquent\Collection;
use Vinculum\Facts\FactsFault;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\LabelFault;
use Vinculum\Ingredient\ProductLabel;
use Vinculum\Kitchen\Stock;

/** The shipped catalogue with the cook's own products in it. */
final class Pantry implements Stock
{
    private ?Catalogue $catalogue = null;

    /** @var array{string, Catalogue}|null the last one and what it was made of: it outlives a request */
    private static ?array $made = null;

    /** What lines are read against: own products first. */
    public function catalogue(): Catalogue
    {
        return $this->catalogue ??= $this->made();
    }

    /** The same one for as long as the products are the same: what was read against it is read still. */
    private function made(): Catalogue
    {
        /** @var Collection<int, Product> $products */
        $products = Product::query()->orderByDesc('in_stock')->orderByDesc('id')->get();
        $of = hash('sha256', serialize($products->map(static fn(Product $one): array => $one->getAttributes())->all()));
        if ((self::$made[0] ?? null) !== $of) {
            self::$made = [$of, Catalogue::shipped()->withOwn(self::labels($products))];
        }

        return self::$made[1];
    }

    /**
     * What the kitchen really has of these ingredients: a product in stock takes the place of the generic it stands
     * in for; where such products are all used up, the generic is left out.
     *
     * @param list<string> $keys of generic ingredients
     *
     * @return list<string>
     */
    public function usable(array $keys): array
    {
        $inStock = [];
        $usedUp = [];
        /** @var Product $product */
        foreach (Product::query()->where('stands_in', true)->orderByDesc('id')->get() as $product) {
            if ($product->in_stock && $this->catalogue()->has($product->key())) {
                $inStock[$product->like] ??= $product->key();
            } else {
                $usedUp[$product->like] = true;
                $usedUp[$product->key()] = true;
            }
        }
        $usable = [];
        foreach ($keys as $key) {
            if (isset($inStock[$key])) {
                $usable[] = $inStock[$key];
            } elseif (!isset($usedUp[$key])) {
                $usable[] = $key;
            }
        }

        return $usable;
    }

    /** @return array<string, float> price of 100 g by key, of own products in stock that have one */
    public function prices(): array
    {
        $prices = [];
        /** @var Product $product */
        foreach (Product::query()->whereNotNull('price')->where('pack_grams', '>', 0)->get() as $product) {
            $prices[$product->key()] = 100.0 * (float) $product->price / (float) $product->pack_grams;
        }

        return $prices;
    }

    /**
     * What is on the shelf of own products, by the key that a line means by it.
     *
     * @return array<string, array{name: string, pack_grams: float|null, price: float|null, stock_grams: float}> a
     *     product in stock counts as one pack
     */
    public function shelf(): array
    {
        $stock = [];
        /** @var Product $product */
        foreach (Product::query()->orderBy('in_stock')->orderBy('id')->get() as $product) {
            $row = [
                'name' => $product->name,
                'pack_grams' => $product->pack_grams,
                'price' => $product->price,
                'stock_grams' => $product->in_stock ? (float) $product->pack_grams : 0.0,
            ];
            $stock[$product->key()] = $row;
            if ($product->stands_in || !isset($stock[$product->like])) {
                $stock[$product->like] = $row;
            }
        }

        return $stock;
    }

    /**
     * Stores a product, after its label has been tried.
     *
     * @throws LabelFault when the label cannot be right
     */
    public function keep(Product $product): Ingredient
    {
        $label = $product->toLabel();
        $label->ingredient('own-tried', Catalogue::shipped()->get($label->like));
        $product->save();
        $this->catalogue = null;

        return $label->ingredient($product->key(), Catalogue::shipped()->get($label->like));
    }

    /**
     * @param Collection<int, Product> $products
     *
     * @return array<string, ProductLabel> by key; a label that no longer fits its generic is left out rather than in
     *     the way
     */
    private static function labels(Collection $products): array
    {
        $labels = [];
        foreach ($products as $product) {
            try {
                $label = $product->toLabel();
                $label->ingredient('own-tried', Catalogue::shipped()->get($label->like));
                $labels[$product->key()] = $label;
            } catch (LabelFault|FactsFault) {
                continue;
            }
        }

        return $labels;
    }
}
