<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Suitability;

/** What a recipe is to be made fit for, as people write it: "vegan, without soya, low salt" (dietary-needs.ini). */
final class DietaryNeeds
{
    /**
     * @return non-empty-list<SwapReason> one after the other
     *
     * @throws \InvalidArgumentException naming the word that nobody knows
     */
    public static function parse(string $text): array
    {
        [$allergens, $diets, $less] = self::read($text);
        $reasons = [];
        if ($allergens !== [] || $diets !== []) {
            $reasons[] = SwapReason::cannotEat($allergens, $diets);
        }
        foreach ($less as $what) {
            $reasons[] = self::lessOf($what);
        }

        return $reasons !== [] ? $reasons : throw new \InvalidArgumentException('Say what it is to be made fit for.');
    }

    /**
     * What one thing is to be replaced for: allergens and diets together, or less of one thing.
     *
     * @throws \InvalidArgumentException naming the word that nobody knows, or what cannot be asked for at once
     */
    public static function ofOneSwap(string $text): SwapReason
    {
        $reasons = self::parse($text);

        return count($reasons) === 1 ? $reasons[0] : throw new \InvalidArgumentException(
            'Less salt, sugar or calories is asked for by itself: swap once for the one, then for the other, or convert the whole recipe.',
        );
    }

    private static function lessOf(string $what): SwapReason
    {
        return match ($what) {
            'salt' => SwapReason::lessSalt(),
            'sugar' => SwapReason::lessSugar(),
            default => SwapReason::fewerCalories(),
        };
    }

    /**
     * @return array{list<string>, list<string>, list<string>} allergens, diets, and what there is to be less of
     *
     * @throws \InvalidArgumentException
     */
    private static function read(string $text): array
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
            $known = self::meant('less', $said);
            $diet = self::diet($said) ?? self::diet($bare);
            $allergen = self::allergen($bare);
            match (true) {
                $known !== null => $less[$known] = true,
                $diet !== null => $diets[] = $diet,
                $allergen !== null => $allergens[] = $allergen,
                default => throw new \InvalidArgumentException(sprintf(
                    '"%s" is not known: say %s, low salt, less sugar, fewer calories, or without %s.',
                    $said,
                    implode(', ', Suitability::allDiets()),
                    implode(', ', array_keys(FactsFile::named('allergens'))),
                )),
            };
        }

        return [array_values(array_unique($allergens)), array_values(array_unique($diets)), array_keys($less)];
    }

    /** What is meant by a word, by dietary-needs.ini; null where it does not say. */
    private static function meant(string $section, string $said): ?string
    {
        $row = FactsFile::named('dietary-needs')[$section];
        foreach ($row->fields() as $meant) {
            if (in_array($said, $row->list($meant), true)) {
                return $meant;
            }
        }

        return null;
    }

    private static function diet(string $said): ?string
    {
        $key = str_replace(' ', '-', self::meant('also', $said) ?? $said);

        return in_array($key, Suitability::allDiets(), true) ? $key : null;
    }

    private static function allergen(string $said): ?string
    {
        $key = self::meant('also', $said) ?? $said;

        return isset(FactsFile::named('allergens')[$key]) ? $key : null;
    }
}
