<?php

declare(strict_types=1);

namespace App\Exchange;

use Vinculum\Chemistry\Component;

/** The tables that go out and come in, by name and by their first line. */
final readonly class Tables
{
    public function __construct(
        private IngredientTable $ingredients,
        private ProductTable $products,
        private BatchTable $batches,
    ) {}

    /** Null where there is none of that name. */
    public function named(string $name): ?Table
    {
        return match ($name) {
            'ingredients' => $this->ingredients,
            'products' => $this->products,
            'batches' => $this->batches,
            default => null,
        };
    }

    /**
     * Which table a text is, by its first line.
     *
     * @return 'ingredients'|'products'|'batches'|null
     */
    public static function in(string $contents): ?string
    {
        $columns = preg_split(
            '/[,;]/',
            str_replace(['"', "\u{FEFF}", ' '], '', strtolower(strtok($contents, "\r\n") ?: '')),
        ) ?: [];
        $has = static fn(string ...$names): bool => array_diff($names, $columns) === [];

        return match (true) {
            $has('key', 'name', Component::Water->value) => 'ingredients',
            $has('name', 'like') => 'products',
            $has('title', 'made') => 'batches',
            default => null,
        };
    }
}
