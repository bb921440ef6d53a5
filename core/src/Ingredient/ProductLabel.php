<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;

/**
 * A product from its nutrition label. What the label states counts as measured for this product (grade A); what it
 * does not say is inherited from the nearest generic ingredient, one grade lower.
 */
final readonly class ProductLabel
{
    /** What of a row takes up the carbohydrate of a label that is no sugar. */
    private const STARCHES = ['starch', 'dextrin', 'other'];

    private const FIELDS = ['fat', 'carbohydrate', 'sugars', 'protein', 'salt', 'acidity'];
    private const MOST_SHU = 16_000_000.0;

    /**
     * @param string $name what the cook calls it
     * @param string $like key of the nearest generic ingredient
     * @param array<string, float|null> $per100 g/100 g by field, null where the label is silent
     * @param float|null $shu Scoville heat units as sold
     * @param string|null $ingredients the list on the pack
     * @param bool $standsIn a line that names the generic means this product
     */
    private function __construct(
        public string $name,
        public string $like,
        private array $per100,
        private ?float $shu,
        private ?string $ingredients,
        private bool $standsIn,
    ) {}

    /**
     * What a label could say of a composition.
     *
     * @param array<string, float> $grams in 100 g, by component
     *
     * @return array<string, float> g/100 g by field
     */
    public static function figuresOf(array $grams): array
    {
        $sum = static fn(string ...$components): float => array_sum(
            array_intersect_key($grams, array_flip($components)),
        );
        $sugars = $sum(...Component::sugars());

        return [
            'fat' => $sum(Component::Fat->value),
            'carbohydrate' => $sugars + $sum(Component::Starch->value, Component::Dextrin->value),
            'sugars' => $sugars,
            'protein' => $sum(Component::Protein->value),
            'salt' => $sum(Component::Salt->value),
            'acidity' => $sum(...Component::acids()),
        ];
    }

    /**
     * @param array<string, float|null> $figures fat, carbohydrate, sugars, protein, salt, acidity in grams, sodium in
     *     milligrams
     * @param float|null $servingGrams grams the figures are for; null for 100 g
     *
     * @throws LabelFault when a figure cannot be right
     */
    public static function of(
        string $name,
        string $like,
        array $figures,
        bool $isPerServing,
        ?float $servingGrams,
        ?float $shu,
        ?string $ingredients,
        bool $standsIn,
    ): self {
        if ($isPerServing && ($servingGrams === null || $servingGrams <= 0.0)) {
            throw LabelFault::noServing();
        }
        $factor = $isPerServing ? 100.0 / (float) $servingGrams : 1.0;
        $per100 = [];
        if (($figures['salt'] ?? null) === null && ($figures['sodium'] ?? null) !== null) {
            $figures['salt'] = $figures['sodium'] * Facts::of(LabelFacts::class)->fromSodium / 1000.0;
        }
        foreach (self::FIELDS as $field) {
            $figure = $figures[$field] ?? null;
            // the acidity of a vinegar is a percentage whatever the serving
            $per100[$field] = $figure === null ? null : $figure * ($field === 'acidity' ? 1.0 : $factor);
            if ($figure !== null && $figure < 0.0) {
                throw LabelFault::negative($field);
            }
            if ($per100[$field] !== null && $per100[$field] > 100.5) {
                throw LabelFault::tooMuch($field, 100.0);
            }
        }
        if (
            $per100['sugars'] !== null
            && $per100['carbohydrate'] !== null
            && $per100['sugars'] > $per100['carbohydrate'] + 0.5
        ) {
            throw LabelFault::sugarsBeyondCarbohydrate();
        }
        if ($shu !== null && ($shu < 0.0 || $shu > self::MOST_SHU)) {
            throw $shu < 0.0 ? LabelFault::negative('shu') : LabelFault::tooMuch('shu', self::MOST_SHU);
        }
        $sum = array_sum(
            array_map(static fn(string $field): float => $per100[$field] ?? 0.0, ['fat', 'protein', 'salt', 'acidity']),
        ) + max($per100['carbohydrate'] ?? 0.0, $per100['sugars'] ?? 0.0);
        if ($sum > 101.0) {
            throw LabelFault::addsUp($sum);
        }

        return new self($name, $like, $per100, $shu, $ingredients, $standsIn);
    }

    /**
     * The product as an ingredient under a key of its own.
     *
     * @throws LabelFault when it adds up to more than there is room for
     */
    public function ingredient(string $key, Ingredient $generic): Ingredient
    {
        [$amounts, $stated] = $this->composition($generic);
        if ($this->shu !== null) {
            $amounts[Component::CapsaicinoidHeat->value] = 100.0 * $this->shu;
        }
        $grades = array_map(self::oneLower(...), $generic->composition->grades);
        foreach ($stated as $group) {
            $grades[$group] = Grade::A;
        }

        return $generic->asOwn(
            $key,
            $this->name,
            $this->standsIn ? [$generic->name, str_replace('-', ' ', $generic->key), ...$generic->aliases] : [],
            $generic->composition->asOwn($key, Mixture::of($amounts), $grades, $this->shu !== null),
            $this->ingredients === null || trim($this->ingredients) === ''
                ? $generic->suitability->allergens
                : AllergenWords::in($this->ingredients),
        );
    }

    /** @return array{array<string, float>, list<string>} grams by component, and the groups the label states */
    private function composition(Ingredient $generic): array
    {
        $amounts = $generic->composition->mixture->amounts();
        $before = $generic->composition->mixture->grams();
        $stated = [];
        $starchBefore = array_sum(array_intersect_key($amounts, array_flip(self::STARCHES)));
        foreach ([
            ['sugars', Component::sugars(), 'sucrose', 'sugars'],
            ['acidity', Component::acids(), 'acetic', 'acids'],
        ] as [$field, $components, $usual, $group]) {
            if ($this->per100[$field] !== null) {
                $amounts = self::scaledTo($amounts, $components, $this->per100[$field], $usual);
                $stated[] = $group;
            }
        }
        foreach (['fat', 'protein', 'salt'] as $field) {
            if ($this->per100[$field] !== null) {
                $amounts[$field] = $this->per100[$field];
                $stated[] = $field;
            }
        }
        if ($this->per100['carbohydrate'] !== null) {
            $sugars = array_sum(array_intersect_key($amounts, array_flip(Component::sugars())));
            $amounts = self::scaledTo(
                $amounts,
                $starchBefore > 0.0 ? self::STARCHES : ['other'],
                max(0.0, $this->per100['carbohydrate'] - $sugars),
                'other',
            );
            $stated[] = 'starch';
        }
        if ($this->shu !== null) {
            $stated[] = 'heat';
        }
        $masses = array_filter(
            $amounts,
            static fn(string $component): bool => Component::from($component)->isMass(),
            ARRAY_FILTER_USE_KEY,
        );
        $room = ($amounts['water'] ?? 0.0) + $before - array_sum($masses);
        if ($room < 0.0) {
            // the generic is too dry for this label: what is only inherited and unnamed gives way
            $amounts['other'] = max(0.0, ($amounts['other'] ?? 0.0) + $room);
            $amounts['fibre'] = max(0.0, $amounts['fibre'] ?? 0.0);
        }
        $amounts['water'] = max(0.0, $room);
        $sum = array_sum(
            array_filter(
                $amounts,
                static fn(string $component): bool => Component::from($component)->isMass(),
                ARRAY_FILTER_USE_KEY,
            ),
        );
        if ($sum > 100.5) {
            throw LabelFault::addsUp($sum);
        }

        return [$amounts, $stated];
    }

    /**
     * @param array<string, float> $amounts
     * @param list<string> $components
     *
     * @return array<string, float>
     */
    private static function scaledTo(array $amounts, array $components, float $grams, string $usual): array
    {
        $sum = array_sum(array_intersect_key($amounts, array_flip($components)));
        foreach ($components as $component) {
            $amounts[$component] = $sum > 0.0 ? ($amounts[$component] ?? 0.0) * $grams / $sum : 0.0;
        }
        if ($sum <= 0.0) {
            $amounts[$usual] = $grams;
        }

        return $amounts;
    }

    private static function oneLower(Grade $grade): Grade
    {
        return match ($grade) {
            Grade::A => Grade::B,
            Grade::B => Grade::C,
            default => Grade::D,
        };
    }
}
