<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Ingredient;

/** What a recipe is to be made fit for, as people write it: "vegan, without soya, low salt". */
final class DietaryNeeds
{
    private const LESS = [
        'low salt' => 'salt',
        'less salt' => 'salt',
        'less sugar' => 'sugar',
        'low sugar' => 'sugar',
        'fewer calories' => 'energy',
        'lighter' => 'energy',
    ];

    /** What people write for what the list calls otherwise. */
    private const ALSO = [
        'dairy' => 'milk',
        'lactose' => 'milk',
        'eggs' => 'egg',
        'wheat' => 'gluten',
        'soy' => 'soya',
        'nut' => 'nuts',
        'tree nuts' => 'nuts',
        'peanut' => 'peanuts',
        'shellfish' => 'crustaceans',
        'alcohol' => 'alcohol-free',
        'added sugar' => 'no-added-sugar',
        'sugar' => 'no-added-sugar',
        'meat' => 'vegetarian',
    ];

    /**
     * @return non-empty-list<SwapReason> one after the other
     *
     * @throws \InvalidArgumentException naming the word that nobody knows
     */
    public static function parse(string $text): array
    {
        $allergens = [];
        $diets = [];
        $less = [];
        foreach (preg_split('/,|;|\band\b/', mb_strtolower($text)) ?: [] as $said) {
            $said = trim((string) preg_replace('/\s+/', ' ', str_replace('-', ' ', $said)));
            if ($said === '') {
                continue;
            }
            $bare = trim((string) preg_replace('/^(?:without|no|free of|free from)\s+|\s+free$/', '', $said));
            $known = self::LESS[$said] ?? null;
            $diet = self::diet($said) ?? self::diet($bare);
            $allergen = self::allergen($bare);
            match (true) {
                $known !== null => $less[$known] = true,
                $diet !== null => $diets[] = $diet,
                $allergen !== null => $allergens[] = $allergen,
                default => throw new \InvalidArgumentException(sprintf(
                    '"%s" is not known: say %s, low salt, less sugar, fewer calories, or without %s.',
                    $said,
                    implode(', ', Ingredient::allDiets()),
                    implode(', ', array_keys(FactsFile::named('allergens'))),
                )),
            };
        }
        $reasons = [];
        if ($allergens !== [] || $diets !== []) {
            $reasons[] = SwapReason::cannotEat(
                array_values(array_unique($allergens)),
                array_values(array_unique($diets)),
            );
        }
        foreach (array_keys($less) as $what) {
            $reasons[] = match ($what) {
                'salt' => SwapReason::lessSalt(),
                'sugar' => SwapReason::lessSugar(),
                'energy' => SwapReason::fewerCalories(),
            };
        }

        return $reasons !== [] ? $reasons : throw new \InvalidArgumentException('Say what it is to be made fit for.');
    }

    private static function diet(string $said): ?string
    {
        $key = str_replace(' ', '-', self::ALSO[$said] ?? $said);

        return in_array($key, Ingredient::allDiets(), true) ? $key : null;
    }

    private static function allergen(string $said): ?string
    {
        $key = self::ALSO[$said] ?? $said;

        return isset(FactsFile::named('allergens')[$key]) ? $key : null;
    }
}
