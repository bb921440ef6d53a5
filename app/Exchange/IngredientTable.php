<?php

declare(strict_types=1);

namespace App\Exchange;

use Vinculum\Chemistry\Component;
use Vinculum\Exchange\Csv;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\ProductLabel;
use Vinculum\Quantity\Measures;

/** What the catalogue knows; a row that is not as it is shipped comes in as one of the cook's own products. */
final readonly class IngredientTable implements Table
{
    private const DECIMALS = 6;

    public function __construct(private ProductTable $products) {}

    public function write(): string
    {
        $rows = array_map(
            static fn(Ingredient $one): array => [
                'key' => $one->key,
                'name' => $one->name,
                'like' => $one->key,
                'density' => $one->portions->density,
                'allergens' => implode(' ', $one->suitability->allergens),
                ...self::grams($one),
            ],
            array_values(Catalogue::shipped()->all()),
        );

        return Csv::write(['key', 'name', 'like', 'density', 'allergens', ...self::masses()], $rows);
    }

    public function preview(string $contents): array
    {
        return $this->products->items(self::rows($contents));
    }

    public function take(string $contents, Measures $measures, bool $merges): array
    {
        return ['products' => $this->products->keep(self::rows($contents), $merges)];
    }

    /**
     * The rows that are not as they are shipped, as the products they make.
     *
     * @return array<int, array<string, string>> by line of the file
     *
     * @throws RecipeFault|ImportFault
     */
    private static function rows(string $contents): array
    {
        $rows = [];
        foreach (TableRows::of($contents) as $line => $row) {
            $rows[$line] = self::changed($row, $line);
        }

        return array_filter($rows);
    }

    /**
     * An ingredient with other figures than ours is an own product with what a label could say of it.
     *
     * @param array<string, string> $row
     *
     * @return array<string, string>|null null where it is as it is shipped
     *
     * @throws ImportFault
     */
    private static function changed(array $row, int $line): ?array
    {
        $key = $row['key'] ?? '';
        $grams = [];
        foreach (self::masses() as $component) {
            $grams[$component] = TableRows::figure($row, $component, $line) ?? 0.0;
        }
        if (Catalogue::shipped()->has($key)) {
            $ours = Catalogue::shipped()->get($key);
            if (
                $ours->name === ($row['name'] ?? '')
                && array_filter(
                    self::grams($ours),
                    static fn(float $figure, string $component): bool => abs($figure - $grams[$component]) > 1e-6,
                    ARRAY_FILTER_USE_BOTH,
                ) === []
            ) {
                return null;
            }
        }

        return [
            'name' => $row['name'] ?? '',
            'like' => ($row['like'] ?? '') === '' ? $key : $row['like'],
            'stands_in' => 'yes',
            'in_stock' => 'yes',
            ...array_map(strval(...), ProductLabel::figuresOf($grams)),
        ];
    }

    /** @return list<string> */
    private static function masses(): array
    {
        return array_values(
            array_map(
                static fn(Component $one): string => $one->value,
                array_filter(Component::cases(), static fn(Component $one): bool => $one->isMass()),
            ),
        );
    }

    /** @return array<string, float> grams in 100 g, by component */
    private static function grams(Ingredient $ingredient): array
    {
        return array_combine(
            self::masses(),
            array_map(
                static fn(string $component): float => round(
                    $ingredient->composition->mixture->get(Component::from($component)),
                    self::DECIMALS,
                ),
                self::masses(),
            ),
        );
    }
}
