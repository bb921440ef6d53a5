<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/** A thing that goes into a sauce: what is in 100 g of it as used, how it is measured, and how well that is known. */
final readonly class Ingredient
{
    /** g in 100 g. */
    private const SUGARS_THAT_SWEETEN = 5.0;
    /** Rows are written to a hundredth of a gram of acid. */
    private const NEAR_MILLIEQUIVALENTS = 0.1;

    /**
     * @param list<string> $aliases other names it goes by
     * @param list<string> $maybe names that more likely mean something else
     * @param list<string> $roles
     * @param list<string> $kinds what it is, for keeping: plant, fresh, low-acid, egg, dairy, …
     * @param list<string> $sources keys of sources.ini, with the food where it is a table: "usda-sr24 11215"
     * @param string|null $like for what is the cook's own, the generic ingredient it is a kind of; null for the
     *     shipped ones
     */
    private function __construct(
        public string $key,
        public string $name,
        public array $aliases,
        public array $maybe,
        public array $roles,
        public array $kinds,
        public Composition $composition,
        public Portions $portions,
        public Suitability $suitability,
        public array $sources,
        public ?string $like,
    ) {}

    /** @throws FactsFault when the row is incomplete or its composition adds up to more than 100 g */
    public static function fromRow(Row $row): self
    {
        $composition = Composition::fromRow($row);

        return new self(
            $row->key,
            $row->text('name'),
            $row->list('also'),
            $row->list('maybe'),
            $row->list('roles'),
            $row->list('kind'),
            $composition,
            Portions::fromRow($row, $composition->mixture),
            Suitability::of(
                [...$row->list('breaks'), ...(self::sweetens($row, $composition) ? ['no-added-sugar'] : [])],
                $row->list('allergens'),
                $composition->mixture,
                $row->list('often'),
            ),
            $row->list('sources') ?: throw FactsFault::missing($row->key, 'sources'),
            null,
        );
    }

    /** What is there to sweeten, and does so by sugars, is added sugar. */
    private static function sweetens(Row $row, Composition $composition): bool
    {
        return in_array('sweetener', $row->list('kind'), true)
            && Energy::sugars($composition->mixture) >= self::SUGARS_THAT_SWEETEN;
    }

    /**
     * The same from a pack that is free of some allergens and fits some diets: "Gluten-free stock", "Vegan pesto". Itself
     * where nothing of it is in the way; null where every pack is.
     *
     * @param list<string> $allergens
     * @param list<string> $diets
     */
    public function fitting(array $allergens, array $diets = []): ?self
    {
        $held = array_values(array_intersect($allergens, $this->suitability->allergens));
        $broken = array_values(array_intersect($diets, $this->suitability->breaks));
        if ($held === [] && $broken === []) {
            return $this;
        }
        $suitability = $this->suitability->fitting($held, $broken);
        $words = [...$broken, ...array_map(
            static fn(string $one): string => "{$one}-free",
            array_diff($held, Suitability::inTheWayOf($broken)),
        )];

        return $suitability === null ? null : new self(
            $this->key,
            ucfirst(implode(' ', [...$words, mb_strtolower($this->name)])),
            $this->aliases,
            $this->maybe,
            $this->roles,
            $this->kinds,
            $this->composition,
            $this->portions,
            $suitability,
            $this->sources,
            $this->like,
        );
    }

    /**
     * A product of the cook's own that is like this one: measured, poured and combined in the same way.
     *
     * @param list<string> $aliases names of this one that mean it too
     * @param list<string> $allergens
     */
    public function asOwn(string $key, string $name, array $aliases, Composition $composition, array $allergens): self
    {
        return new self(
            $key,
            $name,
            $aliases,
            [],
            $this->roles,
            $this->kinds,
            $composition,
            $this->portions,
            Suitability::of(
                $this->suitability->breaks,
                $allergens,
                $composition->mixture,
                // a label that says what is in it leaves nothing to other packs
                $allergens === $this->suitability->allergens ? $this->suitability->often : [],
            ),
            ['own-label', ...$this->sources],
            $this->kind(),
        );
    }

    /**
     * What was made in the kitchen, as something that goes into another: poured, and of many kinds at once.
     *
     * @param list<string> $kinds
     */
    public static function made(
        string $key,
        string $name,
        string $like,
        Composition $composition,
        array $kinds,
        Suitability $suitability,
    ): self {
        return new self(
            $key,
            $name,
            [],
            [],
            ['base'],
            $kinds,
            $composition,
            Portions::poured($composition->mixture),
            $suitability,
            ['own-sauce'],
            $like,
        );
    }

    /** Whether it is the cook's own, not of the shipped catalogue. */
    public function isOwn(): bool
    {
        return $this->like !== null;
    }

    /** Whether its bite is made only once it is wet: dry mustard and wasabi. */
    public function isPungentWhenWet(): bool
    {
        return in_array('pungent-when-wet', $this->kinds, true);
    }

    /**
     * A plant low in acid of which it is not known how much acid it takes up: its minerals are missing, or its strong ion
     * difference leaves too much of them out.
     */
    public function lacksItsSalts(): bool
    {
        $least = $this->composition->minerals?->least;

        return array_diff(['plant', 'low-acid'], $this->kinds) === []
            && ($least === null
                || $this->composition->mixture->get(Component::StrongIonDifference)
                    < $least - self::NEAR_MILLIEQUIVALENTS);
    }

    /** The key of the shipped ingredient that says what it is like and what work it does. */
    public function kind(): string
    {
        return $this->like ?? $this->key;
    }

    /** The mixture that so many grams of it bring. */
    public function grams(float $grams): Mixture
    {
        return $this->composition->mixture->times($grams / 100.0);
    }

    /**
     * Of what is counted by the fruit that it comes out of: which part of which fruit.
     *
     * @return array{part: string, fruit: string}|null "juice" of a "lime"; null for everything else
     */
    public function partOfFruit(): ?array
    {
        $words = explode(' ', mb_strtolower($this->name));
        $part = array_pop($words);

        return isset($this->portions->units['fruit']) && $words !== [] && in_array($part, ['juice', 'zest'], true)
            ? ['part' => $part, 'fruit' => implode(' ', $words)]
            : null;
    }

    /** @return list<string> where the figures come from, in words */
    public function sourcesInWords(): array
    {
        return array_map(static function (string $key): string {
            [$table, $food] = [...explode(' ', $key, 2), ''];
            $source = FactsFile::named('sources')[$table];

            return $source->text('title')
                . ($food === '' ? '' : ", food {$food}")
                . ($source->text('kind') === 'memory' ? ' (from memory)' : '');
        }, $this->sources);
    }
}
