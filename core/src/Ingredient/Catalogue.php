<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/** Every ingredient known, each built from its row when it is first asked for. */
final class Catalogue
{
    /** @var array<string, Ingredient> */
    private array $built = [];

    private ?NameSearch $names = null;

    /**
     * @param array<string, Row> $rows
     * @param array<string, Ingredient> $own the cook's own products
     * @param self|null $shipped of the same rows, which builds them for this one too
     */
    private function __construct(
        private readonly array $rows,
        private readonly array $own = [],
        private readonly ?self $shipped = null,
    ) {}

    public static function shipped(): self
    {
        /** @var self|null $shipped */
        static $shipped = null;

        return $shipped ??= new self(FactsFile::folderNamed('ingredients'));
    }

    /** @param array<string, Row> $rows by key */
    public static function of(array $rows): self
    {
        return new self($rows);
    }

    /**
     * This catalogue with the cook's own products in it; where a name fits both, theirs comes first.
     *
     * @param array<string, ProductLabel> $products by key
     *
     * @throws LabelFault|FactsFault
     */
    public function withOwn(array $products): self
    {
        $own = [];
        foreach ($products as $key => $label) {
            $own[$key] = $label->ingredient($key, $this->get($label->like));
        }

        return $this->with($own);
    }

    /**
     * This catalogue with more of the cook's own in it; a key that is there already is replaced.
     *
     * @param array<string, Ingredient> $own by key
     */
    public function with(array $own): self
    {
        return $own === [] ? $this : new self($this->rows, $own + $this->own, $this->shipped ?? $this);
    }

    public function has(string $key): bool
    {
        return isset($this->own[$key]) || isset($this->rows[$key]);
    }

    /** @throws FactsFault when there is no such ingredient */
    public function get(string $key): Ingredient
    {
        return $this->own[$key] ?? $this->shipped?->get($key) ?? $this->built[$key] ??= Ingredient::fromRow(
            $this->rows[$key] ?? throw FactsFault::unknownKey('ingredient', $key),
        );
    }

    /** @return list<string> */
    public function keys(): array
    {
        return [...array_keys($this->own), ...array_keys($this->rows)];
    }

    /** @return list<string> keys of what is the cook's own */
    public function ownKeys(): array
    {
        return array_keys($this->own);
    }

    /** @return list<Ingredient> */
    public function all(): array
    {
        return array_map($this->get(...), $this->keys());
    }

    /** The ranked search over names, built once. */
    public function names(): NameSearch
    {
        return $this->names ??= NameSearch::over($this->rows, $this->own);
    }
}
