<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\Acidity;
use Vinculum\Chemistry\AcidityFacts;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsSection;

/**
 * Plants carry their acids mostly as salts, and their minerals say how much: the acids of a row such that its strong ion
 * difference is what its minerals and the basic groups of its protein leave free, and the row alone still has its
 * published pH. What no table names is taken as malic acid, the common anion of plant cells. For bin/derive-plant-acids,
 * which writes them into the rows.
 */
final readonly class PlantSalts
{
    /** Less acid than this, g in 100 g, is not written. */
    private const LEAST_ACID = 0.005;
    private const MOST_MALIC = 40.0;
    /** From this pH on a plant is low in acid; what is sharper is known by its own acids. */
    private const LOW_ACID_FROM = 4.6;
    /** What is this sharp holds free acid, of which its minerals say nothing. */
    private const OWN_ACIDS_UNDER = 3.0;
    /** Of what was pickled the minerals have left with the brine, of what was refined with the water. */
    private const LEACHED = ['preserved', 'sauce', 'ferment', 'milk-like', 'starch', 'gum', 'alcohol', 'oil', 'salt'];
    private const PLANTS = [
        'plant', 'fruit', 'spice', 'mushroom', 'juice', 'drink', 'nut', 'seed', 'pulse', 'grain', 'sweetener',
    ];
    /** Kinds that rows without a table are like, the first that fits. */
    private const GROUPS = [
        'nut', 'pulse', 'seed', 'grain', 'sweetener', 'spice', 'herb', 'mushroom', 'fruit', 'drink',
    ];

    /**
     * @param array<string, float> $acids g/100 g by component, all organic acids of the row
     * @param array<string, float> $makesRoom what they were counted as before, where the row was full: tables have acids
     *     among the carbohydrates
     * @param float $minerals mEq in 100 g
     * @param bool $isKept the row's own acids agree with its minerals, and stay
     * @param 'C'|'D' $grade of the acids: of a table, or of its kind
     * @param string $source a key of sources.ini, and the food of a table
     */
    private function __construct(
        public array $acids,
        private array $makesRoom,
        public float $minerals,
        private bool $isKept,
        private string $grade,
        private string $source,
    ) {}

    /** @return array<string, self> by key, of every row that is a plant and has a pH */
    public static function ofCatalogue(Catalogue $catalogue, FoodTables $tables): array
    {
        $tabled = [];
        $perGram = [];
        foreach ($catalogue->all() as $row) {
            if (self::isPlant($row)) {
                $charge = $tables->mineralCharge($row->key, $row->composition->mixture->get(Component::Water));
                if ($charge !== null) {
                    $tabled[$row->key] = $charge;
                    $perGram[self::group($row)][] = $charge[0] / max(1.0, self::dryGrams($row));
                }
            }
        }
        $salts = [];
        foreach ($catalogue->all() as $row) {
            $group = $perGram[self::group($row)] ?? [];
            if (self::isPlant($row) && (isset($tabled[$row->key]) || self::isByKind($row) && $group !== [])) {
                sort($group);
                $salts[$row->key] = self::of(
                    $row,
                    $tables->acids($row->key),
                    ...($tabled[$row->key] ?? [self::dryGrams($row) * $group[intdiv(count($group), 2)], null]),
                );
            }
        }

        return $salts;
    }

    /**
     * The strong ion difference with these acids in place of its own, in mEq.
     *
     * @param array<string, float> $acids
     */
    public static function charge(Mixture $hundredGrams, array $acids, float $ph): float
    {
        $mixture = $hundredGrams;
        foreach (Component::acids() as $acid) {
            $mixture = $mixture->with(Component::from($acid), $acids[$acid] ?? 0.0);
        }

        return Acidity::strongIonDifferenceFor(AcidState::wetted(Acidity::withBuffers($mixture)), $ph);
    }

    /** A section of a facts file with what this says in place of what stands there. */
    public function writtenInto(FactsSection $section): FactsSection
    {
        $section = $section->with(
            'minerals',
            sprintf('%.1f', $this->minerals) . ($this->grade === 'D' ? ' by kind' : ''),
            'ph',
        );
        if ($this->isKept) {
            return $section;
        }
        $others = preg_replace(
            '/(?:, )?\b(?:' . implode('|', Component::acids()) . ') [\d.]+/',
            '',
            $section->value('of'),
        );
        $written = static fn(float $grams): string => rtrim(rtrim(sprintf('%.2f', $grams), '0'), '.');
        foreach ($this->makesRoom as $component => $grams) {
            $others = preg_replace("/\\b{$component} [\\d.]+/", "{$component} {$written($grams)}", (string) $others);
        }
        $acids = [];
        foreach ($this->acids as $acid => $grams) {
            $acids[] = "{$acid} {$written($grams)}";
        }
        $section = $section->with('of', implode(', ', [trim((string) $others, ', '), ...$acids]), 'kind');
        $grades = preg_replace('/, acids [A-D]/', '', $section->value('grades'));

        return $section->with('grades', "{$grades}, acids {$this->grade}", 'ph')->withSource($this->source);
    }

    public function __toString(): string
    {
        return sprintf('%.1f mEq of minerals, %s', $this->minerals, json_encode($this->acids));
    }

    /**
     * @param array<string, float> $listed acids that a table lists for it
     * @param float $minerals mEq in 100 g
     * @param string|null $source of the minerals; null where they are those of its kind
     */
    private static function of(Ingredient $row, array $listed, float $minerals, ?string $source): self
    {
        $facts = Facts::of(AcidityFacts::class)->plantSalts;
        $mixture = $row->composition->mixture;
        $ph = (float) $row->composition->ph;
        $isLowAcid = $ph >= self::LOW_ACID_FROM;
        $own = array_intersect_key($mixture->amounts(), array_flip(Component::acids()));
        $isUsable = $isLowAcid && $listed !== [] && self::charge($mixture, $listed, $ph) <= $minerals;
        $acids = $isUsable ? $listed : $own;
        $least = $facts->least * $minerals;
        $wanted = $isLowAcid
            ? min($minerals, $facts->centre * $minerals + $facts->basicGroups * $mixture->get(Component::Protein))
            : $least;
        $isShort = self::charge($mixture, $acids, $ph) < ($isUsable ? $wanted : $least);
        if ($isShort) {
            $acids['malic'] = self::malicFor($mixture, $acids, $ph, $wanted);
        }

        $acids = array_filter($acids, static fn(float $grams): bool => $grams >= self::LEAST_ACID);

        return new self(
            $acids,
            self::makingRoom($mixture, array_sum($acids) - array_sum($own)),
            $minerals,
            !$isUsable && !$isShort,
            $source === null ? 'D' : 'C',
            $source ?? 'salts-by-kind',
        );
    }

    /** @return array<string, float> g/100 g of a carbohydrate without what are acids of it */
    private static function makingRoom(Mixture $hundredGrams, float $more): array
    {
        $short = $more - $hundredGrams->get(Component::Other);
        $carbohydrates = array_map(
            static fn(string $one): float => $hundredGrams->get(Component::from($one)),
            ['starch' => 'starch', 'fibre' => 'fibre', 'sucrose' => 'sucrose'],
        );
        arsort($carbohydrates);

        return $short > 0.0
            ? [(string) array_key_first($carbohydrates) => max(0.0, max($carbohydrates) - $short)]
            : [];
    }

    /** @param array<string, float> $acids */
    private static function malicFor(Mixture $hundredGrams, array $acids, float $ph, float $charge): float
    {
        [$low, $high] = [$acids['malic'] ?? 0.0, self::MOST_MALIC];
        for ($halving = 0; $halving < 40; ++$halving) {
            $malic = ($low + $high) / 2.0;
            if (self::charge($hundredGrams, ['malic' => $malic] + $acids, $ph) < $charge) {
                $low = $malic;
            } else {
                $high = $malic;
            }
        }

        return $high;
    }

    private static function isPlant(Ingredient $row): bool
    {
        $ph = $row->composition->ph;

        return $ph !== null
            && ($ph >= self::LOW_ACID_FROM || $ph >= self::OWN_ACIDS_UNDER && in_array('plant', $row->kinds, true))
            && array_intersect(self::PLANTS, $row->kinds) !== []
            && (array_intersect(self::LEACHED, $row->kinds) === [] || self::isPaste($row) || self::isTinned($row));
    }

    /** Low-acid plants ground and sold as a sauce. */
    private static function isPaste(Ingredient $row): bool
    {
        return array_diff(['sauce', 'low-acid', 'plant'], $row->kinds) === [];
    }

    /** Preserved by heat, not in acid or brine that its minerals would have gone into. */
    private static function isTinned(Ingredient $row): bool
    {
        return in_array('preserved', $row->kinds, true) && $row->composition->ph >= self::LOW_ACID_FROM
            && array_intersect(['ferment', 'fish', 'shellfish'], $row->kinds) === [];
    }

    /** Whether a row without a table takes the minerals of its kind. */
    private static function isByKind(Ingredient $row): bool
    {
        return ($row->composition->ph >= self::LOW_ACID_FROM || in_array('low-acid', $row->kinds, true))
            && !in_array('broth', $row->kinds, true);
    }

    private static function group(Ingredient $row): string
    {
        $isDry = $row->composition->mixture->percent(Component::Water) < 30.0;
        foreach (self::GROUPS as $group) {
            if (in_array($group, $row->kinds, true) || ($isDry && $group === 'spice')) {
                return $group;
            }
        }

        return 'plant';
    }

    /** What minerals go with: dry matter without fat and salt; of a paste without its sugar too. */
    private static function dryGrams(Ingredient $row): float
    {
        $mixture = $row->composition->mixture;

        return max(0.0, 100.0 - $mixture->get(Component::Water) - $mixture->get(Component::Fat)
            - $mixture->get(Component::Salt) - (self::isPaste($row) ? Energy::sugars($mixture) : 0.0));
    }
}
