<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Chemistry\Component;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Energy;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Suitability;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/** Why something is to be replaced, and so what may take its place. */
final readonly class SwapReason
{
    /**
     * A cook who asks for stronger or milder without saying how much means 2 to 3 steps (handbook, "Correcting a
     * batch").
     */
    private const STRONGER_BY = 2.5;
    /** Less is at most this share of what there was. */
    private const LESS = 0.7;
    /** What brings this share of it is worth replacing. */
    private const MUCH = 0.2;
    /** g, or kcal, in 100 g: what holds less is no source of it. */
    private const RICH = 1.0;
    private const COSTS = ['low' => 1, 'middle' => 2, 'high' => 3];

    /**
     * @param list<string> $allergens that must not be in it
     * @param list<string> $diets that it must fit
     * @param int|null $month in which it must be in season, 1 to 12
     * @param array<string, float> $prices per 100 g of the kitchen's own products, by ingredient key
     * @param bool $isCheaper whether it must cost less
     * @param float $byTaste steps that the old line's main axis should move
     * @param 'energy'|'salt'|'sugars'|null $less what there must be less of
     */
    private function __construct(
        public string $key,
        public array $allergens = [],
        public array $diets = [],
        private ?int $month = null,
        private array $prices = [],
        private bool $isCheaper = false,
        public float $byTaste = 0.0,
        public ?string $less = null,
    ) {}

    /** It is not in the house. */
    public static function missing(): self
    {
        return new self('missing');
    }

    /**
     * Someone cannot or will not eat it.
     *
     * @param list<string> $allergens of the regulation's list
     * @param list<string> $diets
     *
     * @throws \InvalidArgumentException when an allergen or a diet is none
     */
    public static function cannotEat(array $allergens, array $diets): self
    {
        $unknown = [
            ...array_diff($allergens, array_keys(FactsFile::named('allergens'))),
            ...array_diff($diets, Suitability::allDiets()),
        ];
        if ($unknown !== []) {
            throw new \InvalidArgumentException(
                sprintf('"%s" is no allergen and no diet that is known.', implode('", "', $unknown)),
            );
        }

        return new self('cannot-eat', $allergens, $diets);
    }

    /** @throws \InvalidArgumentException when there is no such month */
    public static function outOfSeason(int $month): self
    {
        return new self(
            'season',
            month: $month >= 1 && $month <= 12
                ? $month
                : throw new \InvalidArgumentException('A month is a number from 1 to 12.'),
        );
    }

    /** @param array<string, float> $prices per 100 g of the kitchen's own products, by ingredient key */
    public static function cheaper(array $prices = []): self
    {
        return new self('cheaper', prices: $prices, isCheaper: true);
    }

    public static function stronger(): self
    {
        return new self('stronger', byTaste: self::STRONGER_BY);
    }

    public static function milder(): self
    {
        return new self('milder', byTaste: -self::STRONGER_BY);
    }

    public static function fewerCalories(): self
    {
        return new self('fewer-calories', less: 'energy');
    }

    public static function lessSalt(): self
    {
        return new self('less-salt', less: 'salt');
    }

    public static function lessSugar(): self
    {
        return new self('less-sugar', less: 'sugars');
    }

    /** Whether a thing is a near relative of what someone cannot eat. */
    public function isNear(Ingredient $ingredient): bool
    {
        return $this->nearOf($ingredient) !== [];
    }

    /** @return list<string> allergens that someone cannot eat, of which a thing is a near relative */
    public function nearOf(Ingredient $ingredient): array
    {
        return array_values(array_filter(
            $this->allergens,
            static fn(string $allergen): bool => in_array(
                $ingredient->kind(),
                (FactsFile::named('near-allergens')[$allergen] ?? null)?->list('of') ?? [],
                true,
            ),
        ));
    }

    /**
     * How much there is in an ingredient of what there must be less of.
     *
     * @param float $grams of it
     */
    public function burden(Ingredient $ingredient, float $grams): float
    {
        $mixture = $ingredient->grams($grams);

        return match ($this->less) {
            'energy' => Energy::of($mixture),
            'salt' => $mixture->get(Component::Salt),
            'sugars' => Energy::sugars($mixture),
            null => 0.0,
        };
    }

    /** Whether it is something that must not be there at all, and not only less of it. */
    public function isOfDiet(): bool
    {
        return $this->less === null;
    }

    /**
     * Whether so much of an ingredient is in the way of it in a whole recipe: it must not be there, or it brings much of
     * what there must be less of.
     *
     * @param float $whole burden of the whole recipe
     */
    public function isAgainst(Ingredient $ingredient, float $grams, float $whole): bool
    {
        // a vegetable is no sugar, whatever there is in it
        $isPlain = $this->less === 'sugars' && !in_array('sweetener', $ingredient->roles, true)
            && array_diff(['plant', 'fresh'], $ingredient->kinds) === [];

        return $this->isOfDiet()
            ? !$this->tolerates($ingredient)
            : !$isPlain && $this->burden($ingredient, 100.0) >= self::RICH
                && $whole > 0.0 && $this->burden($ingredient, $grams) >= self::MUCH * $whole;
    }

    /** What there must be less of is not put back beside the substitute. */
    public function forbidsMore(string $role): bool
    {
        return match ($this->less) {
            'salt' => $role === 'salt',
            'sugars', 'energy' => $role === 'sweetener',
            null => false,
        };
    }

    /** What is wanted, in a word or two. */
    public function wish(): string
    {
        return match ($this->less) {
            'energy' => 'with fewer calories',
            'salt' => 'with less salt',
            'sugars' => 'with less sugar',
            null => implode(' and ', [
                ...$this->diets,
                ...array_map(static fn(string $one): string => "without {$one}", $this->allergens),
            ]),
        };
    }

    /** Whether an ingredient is free of what must not be there. */
    public function tolerates(Ingredient $ingredient): bool
    {
        return array_intersect($this->allergens, $ingredient->suitability->allergens) === []
            && array_diff($this->diets, $ingredient->suitability->diets()) === [];
    }

    /** A thing from a pack that fits, where packs of it differ in that; as it is where none does. */
    public function fitting(Ingredient $ingredient): Ingredient
    {
        return $ingredient->fitting($this->allergens, $this->diets) ?? $ingredient;
    }

    /**
     * Whether this may take the place of that.
     *
     * @param float $ratio grams of this that usually take the place of a gram of that
     */
    public function admits(Ingredient $candidate, Ingredient $old, ?Axis $main, float $ratio = 1.0): bool
    {
        if ($this->less !== null && $this->burden($candidate, $ratio) >= self::LESS * $this->burden($old, 1.0)) {
            return false;
        }
        if (!$this->tolerates($candidate) || $this->less === 'sugars' && !self::sweetensBetter($candidate, $old)) {
            return false;
        }
        if ($this->month !== null && !self::isInSeason($candidate->kind(), $this->month)) {
            return false;
        }
        if ($this->isCheaper && $this->cost($candidate) >= $this->cost($old)) {
            return false;
        }
        if ($this->byTaste !== 0.0) {
            $strength = static fn(Ingredient $one): float => $main === null
                ? 0.0
                : Taste::ofMixture($one->composition->mixture)->on($main);

            return $this->byTaste > 0.0
                ? $strength($candidate) > $strength($old)
                : $strength($candidate) < $strength($old);
        }

        return true;
    }

    /** Whether what sweetens does so with less sugar: a syrup is as sweet as the sugar in it. */
    private static function sweetensBetter(Ingredient $candidate, Ingredient $old): bool
    {
        $sugarsPerSweet = static fn(Ingredient $one): float => Energy::sugars($one->composition->mixture)
            / max(1e-6, Taste::ofMixture($one->composition->mixture)->sweet);

        return !in_array('sweetener', $old->roles, true) || !in_array('sweetener', $candidate->roles, true)
            || $sugarsPerSweet($candidate) < self::LESS * $sugarsPerSweet($old);
    }

    public static function isInSeason(string $key, int $month): bool
    {
        $row = FactsFile::named('seasons')[$key] ?? null;
        if ($row === null) {
            return true;
        }
        [$first, $last] = $row->numbers('months');

        return $first <= $last ? $month >= $first && $month <= $last : $month >= $first || $month <= $last;
    }

    /** Prices where both have one, else rough classes of cost: smaller is cheaper. */
    private function cost(Ingredient $ingredient): float
    {
        if (isset($this->prices[$ingredient->key])) {
            return $this->prices[$ingredient->key];
        }
        foreach (FactsFile::named('costs') as $class => $row) {
            if (in_array($ingredient->kind(), $row->list('of'), true)) {
                return self::COSTS[$class] ?? self::COSTS['middle'];
            }
        }

        return self::COSTS['middle'];
    }
}
