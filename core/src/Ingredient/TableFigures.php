<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\AcidityFacts;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsSection;

/**
 * What a published table says of a row, figure by figure: which hold, which are written in place of ours, and which stay
 * because a person knows better. For bin/derive-from-tables.
 */
final readonly class TableFigures
{
    /** How far a figure may lie from its table: g in 100 g (mg of phosphorus), or this share of it, whichever is more. */
    private const TOLERANCES = [
        'water' => [4.0, 0.0],
        'sugars' => [1.0, 0.25],
        'salt' => [0.15, 0.25],
        'fat' => [1.5, 0.25],
        'protein' => [1.0, 0.30],
        'starch' => [1.5, 0.25],
        'fibre' => [1.0, 0.30],
        'saturates' => [1.0, 0.25],
        'phosphorus' => [15.0, 0.30],
    ];
    /** Figures with a field of their own: no part of the 100 g beside the others. */
    private const FIELDS = ['saturates', 'phosphorus'];
    /** Of what is this dry, water is held to its own tenth too. */
    private const WET_FROM = 40.0;
    private const DRY_WATER = 0.10;
    private const LEAST_DRY_WATER = 1.0;
    private const ROUNDING = 0.4;
    /** Of plants without sugars of their own, and of milk, which sugar the table's figure is. */
    private const SUGAR_OF_KIND = ['dairy' => 'lactose', 'grain' => 'maltose', 'starch' => 'glucose'];
    private const SUGAR_ELSE = 'sucrose';
    /** Composition groups that these tables do not speak of; they keep the grade they had. */
    private const GROUPS_BESIDES = ['acids', 'umami', 'heat', 'nose', 'solubles', 'alcohol'];

    /**
     * @param list<string> $sources "usda-sr24 11215", of every table that has the very food
     * @param array<string, float> $off figures that lie too far from it, and what it says, g/100 g
     * @param array<string, string> $kept figures that a person knows better, with the reason
     */
    private function __construct(
        private Ingredient $row,
        public array $sources,
        public array $off,
        public array $kept,
    ) {}

    /** Of a row that a table has the very food of; null for others. */
    public static function of(Ingredient $row, FoodTables $tables): ?self
    {
        $foods = $tables->sameFoods($row->key);
        if ($foods === []) {
            return null;
        }
        $kept = $tables->kept($row->key);
        [$off, $all] = [[], []];
        foreach (array_diff(array_keys(self::TOLERANCES), array_keys($kept)) as $figure) {
            $said = array_filter(array_column($foods, $figure), static fn(?float $one): bool => $one !== null);
            if ($said === []) {
                continue;
            }
            $all[$figure] = reset($said);
            if (!self::holds($row, $figure, $said)) {
                $off[$figure] = reset($said);
            }
        }

        // one figure of a table among four of ours can come to more than there is
        return new self($row, array_keys($foods), self::fits($row, $off) ? $off : $all, $kept);
    }

    /** Of 100 g of a row, as the tables count them: by its nitrogen, free amino acids are protein. */
    private static function figure(Ingredient $row, string $figure): float
    {
        $hundredGrams = $row->composition->mixture;

        return match ($figure) {
            'saturates' => Saturates::in($row),
            'phosphorus' => 1000.0 * $hundredGrams->get(Component::Phosphoric)
                / Facts::of(AcidityFacts::class)->phosphorus->phosphoric,
            'sugars' => Energy::sugars($hundredGrams),
            'protein' => $hundredGrams->get(Component::Protein) + self::freeAminoAcids($hundredGrams),
            default => $hundredGrams->get(Component::from($figure)),
        };
    }

    private static function freeAminoAcids(Mixture $hundredGrams): float
    {
        return $hundredGrams->get(Component::Glutamate) + $hundredGrams->get(Component::Aspartate);
    }

    /** A section with the tables' figures in it, its sources and its grade. */
    public function writtenInto(FactsSection $section): FactsSection
    {
        foreach ($this->off as $figure => $said) {
            $section = in_array($figure, self::FIELDS, true)
                ? $section->with($figure, sprintf('%.4g', $said), 'of')
                : $section->with('of', $this->amounts($section->value('of'), $figure, $said), 'kind');
        }
        foreach ($this->sources as $source) {
            $section = $section->withSource($source);
        }
        // one figure that a table does not bear out leaves the row as sure as it was
        return $this->kept === [] ? $this->graded($section) : $section;
    }

    public function __toString(): string
    {
        $parts = [];
        foreach ($this->off as $figure => $grams) {
            $parts[] = sprintf('%s %.4g for %.4g', $figure, $grams, self::figure($this->row, $figure));
        }
        foreach ($this->kept as $figure => $reason) {
            $parts[] = "{$figure} left: {$reason}";
        }

        return implode('; ', $parts);
    }

    /** @param array<string, float> $off */
    private static function fits(Ingredient $row, array $off): bool
    {
        $mixture = $row->composition->mixture;
        $grams = 100.0 - $mixture->get(Component::Other);
        foreach (array_diff_key($off, array_flip(self::FIELDS)) as $figure => $now) {
            $grams += $now - self::figure($row, $figure);
        }

        return $grams <= 100.0 + self::ROUNDING;
    }

    /** @param non-empty-array<int, float> $said by one table, or two: anything between them holds */
    private static function holds(Ingredient $row, string $figure, array $said): bool
    {
        $ours = self::figure($row, $figure);

        return $ours >= min($said) - self::tolerance($figure, min($said))
            && $ours <= max($said) + self::tolerance($figure, max($said));
    }

    private static function tolerance(string $figure, float $said): float
    {
        [$grams, $share] = self::TOLERANCES[$figure];

        return $figure === 'water' && $said < self::WET_FROM
            ? min($grams, max(self::LEAST_DRY_WATER, self::DRY_WATER * $said))
            : max($grams, $share * $said);
    }

    private function mixture(): Mixture
    {
        return $this->row->composition->mixture;
    }

    /** The composition of a section with one figure of a table in place of ours; sugars keep their proportions. */
    private function amounts(string $of, string $figure, float $grams): string
    {
        $had = self::figure($this->row, $figure);
        $changed = [];
        if ($figure === 'protein') {
            $changed[$figure] = max(0.0, $grams - self::freeAminoAcids($this->mixture()));
        } elseif ($figure !== 'sugars') {
            $changed[$figure] = $grams;
        } elseif ($had > 0.0) {
            foreach (Component::sugars() as $sugar) {
                $changed[$sugar] = $this->mixture()->get(Component::from($sugar)) * $grams / $had;
            }
        } else {
            $changed[$this->usualSugar()] = $grams;
        }
        foreach ($changed as $component => $now) {
            $written = rtrim(rtrim(sprintf('%.2f', $now), '0'), '.');
            $of = (string) preg_replace("/\\b{$component} [\\d.]+/", "{$component} {$written}", $of, 1, $count);
            $of .= $count === 0 && $now >= 0.005 ? ", {$component} {$written}" : '';
        }

        return $of;
    }

    private function usualSugar(): string
    {
        foreach (self::SUGAR_OF_KIND as $kind => $sugar) {
            if (in_array($kind, $this->row->kinds, true)) {
                return $sugar;
            }
        }

        return self::SUGAR_ELSE;
    }

    private function graded(FactsSection $section): FactsSection
    {
        $grades = $section->list('grades');
        $first = (string) array_shift($grades);
        if (Grade::from($first)->value <= Grade::B->value) {
            return $section;
        }
        foreach (self::GROUPS_BESIDES as $group) {
            $isThere = isset($this->row->composition->grades[$group]);
            $isNamed = array_filter($grades, static fn(string $one): bool => str_starts_with($one, "{$group} ")) !== [];
            if ($isThere && !$isNamed) {
                $grades[] = "{$group} {$first}";
            }
        }
        $grades = array_filter(
            $grades,
            static fn(string $one): bool => !in_array(strtok($one, ' '), array_keys(self::TOLERANCES), true),
        );

        return $section->with('grades', implode(', ', ['B', ...$grades]), 'ph');
    }
}
