<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Pantry\Pantry;
use App\Pantry\Product;
use Vinculum\Exchange\Csv;
use Vinculum\Ingredient\LabelFault;
use Vinculum\Quantity\Measures;

/** The cook's own products. */
final readonly class ProductTable implements Table
{
    private const COLUMNS = [
        'name',
        'like',
        'stands_in',
        'in_stock',
        'price',
        'pack_grams',
        ...Product::FIGURES,
        'per_serving',
        'ingredients',
    ];

    public function __construct(private Pantry $pantry) {}

    public function write(): string
    {
        /** @var list<Product> $products */
        $products = Product::query()->orderBy('id')->get()->all();
        $plain = static fn(mixed $value): string|float|bool|null => match (true) {
            is_bool($value) => $value,
            is_numeric($value) => (float) $value,
            default => is_string($value) ? $value : null,
        };
        $label = static fn(Product $one): array => array_map($plain, $one->label);

        return Csv::write(
            self::COLUMNS,
            array_map(
                static fn(Product $one): array => [
                    ...$label($one),
                    'name' => $one->name,
                    'like' => $one->like,
                    'stands_in' => $one->stands_in,
                    'in_stock' => $one->in_stock,
                    'price' => $one->price,
                    'pack_grams' => $one->pack_grams,
                ],
                $products,
            ),
        );
    }

    public function preview(string $contents): array
    {
        return $this->items(TableRows::of($contents));
    }

    public function take(string $contents, Measures $measures, bool $merges): array
    {
        return ['products' => $this->keep(TableRows::of($contents), $merges)];
    }

    /**
     * @param array<int, array<string, string>> $rows by line of the file
     *
     * @return list<array{title: string, kind: string, there: bool}>
     *
     * @throws ImportFault
     */
    public function items(array $rows): array
    {
        $there = self::there();
        $items = [];
        foreach ($rows as $line => $row) {
            $name = $this->checked($row, $line);
            $items[] = ['title' => $name, 'kind' => 'own product', 'there' => isset($there[$name])];
        }

        return $items;
    }

    /**
     * @param array<int, array<string, string>> $rows by line of the file
     *
     * @return list<int> ids of what was made
     *
     * @throws ImportFault|LabelFault
     */
    public function keep(array $rows, bool $merges): array
    {
        $there = $merges ? self::there() : [];
        $made = [];
        foreach ($rows as $line => $row) {
            $this->checked($row, $line);
        }
        foreach ($rows as $line => $row) {
            if (!isset($there[$row['name']])) {
                $made[] = $this->product($row, $line);
            }
        }

        return $made;
    }

    /**
     * @param array<string, string> $row
     *
     * @return string its name
     *
     * @throws ImportFault
     */
    private function checked(array $row, int $line): string
    {
        $name = TableRows::name($row, 'name', $line);
        if (!$this->pantry->catalogue()->has($row['like'] ?? '')) {
            throw ImportFault::table($line, sprintf('"%s" is no ingredient to be like', $row['like'] ?? ''));
        }

        return $name;
    }

    /**
     * @param array<string, string> $row
     *
     * @throws LabelFault|ImportFault
     */
    private function product(array $row, int $line): int
    {
        $label = [];
        foreach (Product::FIGURES as $field) {
            $label[$field] = TableRows::figure($row, $field, $line);
        }
        $label['per_serving'] = ($row['per_serving'] ?? '') === 'yes' ? true : null;
        $label['ingredients'] = TableRows::text($row, 'ingredients', 5000);
        $product = new Product([
            'name' => $row['name'],
            'like' => $row['like'],
            'label' => array_filter($label, static fn(mixed $value): bool => $value !== null),
            'stands_in' => ($row['stands_in'] ?? '') === 'yes',
            'in_stock' => ($row['in_stock'] ?? '') === 'yes',
            'price' => TableRows::figure($row, 'price', $line),
            'pack_grams' => TableRows::figure($row, 'pack_grams', $line),
        ]);
        $this->pantry->keep($product);

        return $product->id;
    }

    /** @return array<string, true> names that are there already */
    private static function there(): array
    {
        return array_fill_keys(
            array_map(strval(...), array_filter(Product::query()->pluck('name')->all(), is_string(...))),
            true,
        );
    }
}
