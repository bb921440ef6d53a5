<?php

declare(strict_types=1);

namespace App\Exports;

use App\Batches\Batch;
use App\Imports\ImportFault;
use App\Pantry\Pantry;
use App\Pantry\Product;
use App\Recipes\Sauce;
use App\Recipes\SauceService;
use Carbon\CarbonImmutable;
use Vinculum\Chemistry\Component;
use Vinculum\Exchange\Csv;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\LabelFault;
use Vinculum\Ingredient\ProductLabel;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;
use Vinculum\Style\StyleBook;

/**
 * Ingredients, own products and batches as tables (RFC 4180), out and in. Their columns are explained in
 * docs/formats.md.
 */
final readonly class Tables
{
    public const NAMES = ['ingredients', 'products', 'batches'];
    private const LABEL = [
        'fat',
        'carbohydrate',
        'sugars',
        'protein',
        'salt',
        'sodium',
        'acidity',
        'shu',
        'serving_grams',
    ];
    private const PRODUCT = [
        'name',
        'like',
        'stands_in',
        'in_stock',
        'price',
        'pack_grams',
        ...self::LABEL,
        'per_serving',
        'ingredients',
    ];
    private const BATCH = [
        'id',
        'sauce',
        'version',
        'title',
        'style',
        'made',
        'measures',
        'yield',
        'pan',
        'pan_grams',
        'doses',
        'tastings',
        'lines',
        'method',
    ];
    /** More rows than this are not taken in at once. */
    private const MOST_ROWS = 1000;
    private const DECIMALS = 6;
    private const MOST_LETTERS = 200;

    public function __construct(private SauceService $sauceService, private Pantry $pantry) {}

    /** @param 'ingredients'|'products'|'batches' $table */
    public function write(string $table): string
    {
        return match ($table) {
            'ingredients' => self::ingredientsOut(),
            'products' => self::productsOut(),
            'batches' => self::batchesOut(),
        };
    }

    /**
     * Which table a text is, by its first line.
     *
     * @return 'ingredients'|'products'|'batches'|null
     */
    public static function in(string $contents): ?string
    {
        $columns = preg_split(
            '/[,;]/',
            str_replace(['"', "\u{FEFF}", ' '], '', strtolower(strtok($contents, "\r\n") ?: '')),
        ) ?: [];
        $has = static fn(string ...$names): bool => array_diff($names, $columns) === [];

        return match (true) {
            $has('key', 'name', Component::Water->value) => 'ingredients',
            $has('name', 'like') => 'products',
            $has('title', 'made') => 'batches',
            default => null,
        };
    }

    /**
     * What would come in.
     *
     * @return list<array{title: string, kind: string, there: bool}>
     *
     * @throws RecipeFault|ImportFault
     */
    public function preview(string $table, string $contents): array
    {
        $items = [];
        $there = self::there($table);
        foreach ($this->rows($table, $contents) as $number => $row) {
            $items[] = $table === 'batches'
                ? [
                    'title' => $row['title'],
                    'kind' => 'batch of ' . self::made($row, $number)->toDateString(),
                    'there' => isset($there[self::batchTells($row, $number)]),
                ]
                : ['title' => $row['name'], 'kind' => 'own product', 'there' => isset($there[$row['name']])];
        }

        return $items;
    }

    /**
     * Takes it in.
     *
     * @param bool $merges leave out what is there already
     *
     * @return array<string, list<int>> ids of what was made, by table
     *
     * @throws RecipeFault|ImportFault|LabelFault
     */
    public function take(string $table, string $contents, Measures $measures, bool $merges): array
    {
        $made = ['sauces' => [], 'batches' => [], 'products' => []];
        $there = $merges ? self::there($table) : [];
        foreach ($this->rows($table, $contents) as $number => $row) {
            if ($table !== 'batches') {
                if (!isset($there[$row['name']])) {
                    $made['products'][] = $this->product($row, $number);
                }
            } elseif (!isset($there[self::batchTells($row, $number)])) {
                $sauce = Sauce::query()->where('recipe->title', $row['title'])->value('id');
                $edit = self::edit($row, $number, $measures);
                if (!is_int($sauce)) {
                    $made['sauces'][] = $sauce = $this->sauceService->add($edit)->id;
                }
                $made['batches'][] = $this->batch($row, $number, $sauce, $edit);
            }
        }

        return $made;
    }

    private static function ingredientsOut(): string
    {
        $rows = array_map(
            static fn(Ingredient $one): array => [
                'key' => $one->key,
                'name' => $one->name,
                'like' => $one->key,
                'density' => $one->density,
                'allergens' => implode(' ', $one->allergens),
                ...self::grams($one),
            ],
            array_values(Catalogue::shipped()->all()),
        );

        return Csv::write(['key', 'name', 'like', 'density', 'allergens', ...self::masses()], $rows);
    }

    private static function productsOut(): string
    {
        /** @var list<Product> $products */
        $products = Product::query()->orderBy('id')->get()->all();
        $plain = static fn(mixed $value): string|float|bool|null => match (true) {
            is_bool($value) => $value,
            is_numeric($value) => (float) $value,
            default => is_string($value) ? $value : null,
        };
        $label = static fn(Product $one): array => array_map($plain, $one->label);

        return Csv::write(
            self::PRODUCT,
            array_map(
                static fn(Product $one): array => [
                    ...$label($one),
                    'name' => $one->name,
                    'like' => $one->like,
                    'stands_in' => $one->stands_in,
                    'in_stock' => $one->in_stock,
                    'price' => $one->price,
                    'pack_grams' => $one->pack_grams,
                ],
                $products,
            ),
        );
    }

    private static function batchesOut(): string
    {
        /** @var list<Batch> $batches */
        $batches = Batch::query()->withCount(['doses', 'tastings'])->orderBy('id')->get()->all();

        return Csv::write(self::BATCH, array_map(static function (Batch $one): array {
            [$doses, $tastings] = [$one->getAttribute('doses_count'), $one->getAttribute('tastings_count')];

            return [
                'id' => $one->id,
                'sauce' => $one->sauce_id,
                'version' => $one->version,
                'title' => $one->recipe->title,
                'style' => $one->recipe->style,
                'made' => $one->created_at?->toIso8601String(),
                'measures' => $one->recipe->measures->value,
                'yield' => $one->recipe->yield,
                'pan' => $one->recipe->pan,
                'pan_grams' => $one->pan_grams,
                'doses' => is_int($doses) ? $doses : 0,
                'tastings' => is_int($tastings) ? $tastings : 0,
                'lines' => implode("\n", $one->recipe->lines),
                'method' => implode("\n", $one->recipe->method),
            ];
        }, $batches));
    }

    /**
     * The rows that bring something: of ingredients those that are not as they are shipped, as the products they make.
     *
     * @return array<int, array<string, string>> by line of the file
     *
     * @throws RecipeFault|ImportFault
     */
    private function rows(string $table, string $contents): array
    {
        $rows = [];
        $found = Csv::read($contents);
        if (count($found) > self::MOST_ROWS) {
            throw ImportFault::tooManyRows(count($found), self::MOST_ROWS);
        }
        foreach ($found as $number => $row) {
            $line = $number + 2;
            if ($table === 'ingredients') {
                $row = $this->changed($row, $line);
            }
            if ($row === null) {
                continue;
            }
            $name = $table === 'batches' ? 'title' : 'name';
            if (($row[$name] ?? '') === '' || mb_strlen($row[$name]) > self::MOST_LETTERS) {
                throw ImportFault::table(
                    $line,
                    "its {$name} is missing or longer than " . self::MOST_LETTERS . ' letters',
                );
            }
            if ($table !== 'batches' && !$this->pantry->catalogue()->has($row['like'] ?? '')) {
                throw ImportFault::table($line, sprintf('"%s" is no ingredient to be like', $row['like'] ?? ''));
            }
            $rows[$line] = $row;
        }

        return $rows;
    }

    /**
     * An ingredient with other figures than ours is an own product with what a label could say of it.
     *
     * @param array<string, string> $row
     *
     * @return array<string, string>|null null where it is as it is shipped
     *
     * @throws ImportFault
     */
    private function changed(array $row, int $line): ?array
    {
        $key = $row['key'] ?? '';
        $grams = [];
        foreach (self::masses() as $component) {
            $grams[$component] = self::figure($row, $component, $line) ?? 0.0;
        }
        if (Catalogue::shipped()->has($key)) {
            $ours = Catalogue::shipped()->get($key);
            if (
                $ours->name === ($row['name'] ?? '')
                && array_filter(
                    self::grams($ours),
                    static fn(float $figure, string $component): bool => abs($figure - $grams[$component]) > 1e-6,
                    ARRAY_FILTER_USE_BOTH,
                ) === []
            ) {
                return null;
            }
        }

        return [
            'name' => $row['name'] ?? '',
            'like' => ($row['like'] ?? '') === '' ? $key : $row['like'],
            'stands_in' => 'yes',
            'in_stock' => 'yes',
            ...array_map(strval(...), ProductLabel::figuresOf($grams)),
        ];
    }

    /**
     * @param array<string, string> $row
     *
     * @throws LabelFault|ImportFault
     */
    private function product(array $row, int $line): int
    {
        $label = [];
        foreach (self::LABEL as $field) {
            $label[$field] = self::figure($row, $field, $line);
        }
        $label['per_serving'] = ($row['per_serving'] ?? '') === 'yes' ? true : null;
        $label['ingredients'] = ($row['ingredients'] ?? '') === '' ? null : mb_substr($row['ingredients'], 0, 5000);
        $product = new Product([
            'name' => $row['name'],
            'like' => $row['like'],
            'label' => array_filter($label, static fn(mixed $value): bool => $value !== null),
            'stands_in' => ($row['stands_in'] ?? '') === 'yes',
            'in_stock' => ($row['in_stock'] ?? '') === 'yes',
            'price' => self::figure($row, 'price', $line),
            'pack_grams' => self::figure($row, 'pack_grams', $line),
        ]);
        $this->pantry->keep($product);

        return $product->id;
    }

    /**
     * @param array<string, string> $row
     *
     * @throws ImportFault
     */
    private function batch(array $row, int $line, int $sauce, Recipe $edit): int
    {
        $batch = new Batch([
            'sauce_id' => $sauce,
            'version' => $this->sauceService->keep($sauce)->number,
            'recipe' => $edit,
            'pan_grams' => self::figure($row, 'pan_grams', $line),
        ]);
        $batch->created_at = self::made($row, $line);
        $batch->save();

        return $batch->id;
    }

    /** @param array<string, string> $row */
    private static function edit(array $row, int $line, Measures $measures): Recipe
    {
        $texts = static fn(string $column): array => ($row[$column] ?? '') === ''
            ? []
            : array_map(trim(...), preg_split('/\R/u', $row[$column]) ?: []);
        $lines = $texts('lines');
        if (!isset($row['lines']) || count($lines) > RecipeReader::MOST_LINES) {
            throw ImportFault::table(
                $line,
                'its lines are missing or more than '
                    . RecipeReader::MOST_LINES
                    . '; they stand in one cell of the column "lines", each in a line of its own',
            );
        }
        $clipped = static fn(string $column, int $most): ?string => ($row[$column] ?? '') === ''
            ? null
            : mb_substr($row[$column], 0, $most);
        $style = $row['style'] ?? '';

        return new Recipe(
            $row['title'],
            StyleBook::has($style) ? $style : null,
            $lines,
            $texts('method'),
            Measures::tryFrom($row['measures'] ?? '') ?? $measures,
            $clipped('yield', self::MOST_LETTERS),
            pan: $clipped('pan', 100),
        );
    }

    /** @return array<string, true> the products, or batches, that are there already, by what tells them apart */
    private static function there(string $table): array
    {
        if ($table !== 'batches') {
            return array_fill_keys(
                array_map(strval(...), array_filter(Product::query()->pluck('name')->all(), is_string(...))),
                true,
            );
        }
        $there = [];
        /** @var Batch $batch */
        foreach (Batch::query()->select(['id', 'recipe', 'created_at'])->cursor() as $batch) {
            $there[$batch->recipe->title . "\n" . $batch->created_at?->getTimestamp()] = true;
        }

        return $there;
    }

    /** @param array<string, string> $row */
    private static function batchTells(array $row, int $line): string
    {
        return $row['title'] . "\n" . self::made($row, $line)->getTimestamp();
    }

    /** @param array<string, string> $row */
    private static function made(array $row, int $line): CarbonImmutable
    {
        $moment = strtotime($row['made'] ?? '');
        if ($moment === false || $moment < 0) {
            throw ImportFault::table($line, sprintf('"%s" is no date: write it like 2026-11-24', $row['made'] ?? ''));
        }

        return CarbonImmutable::createFromTimestamp($moment, config()->string('app.timezone'));
    }

    /**
     * @param array<string, string> $row
     *
     * @throws ImportFault when it is no number
     */
    private static function figure(array $row, string $column, int $line): ?float
    {
        $text = str_replace(',', '.', $row[$column] ?? '');
        if ($text === '') {
            return null;
        }

        return is_numeric($text) && is_finite((float) $text) && (float) $text >= 0.0
            ? (float) $text
            : throw ImportFault::table($line, sprintf('%s "%s" is no number from 0 on', $column, $row[$column]));
    }

    /** @return list<string> */
    private static function masses(): array
    {
        return array_values(
            array_map(
                static fn(Component $one): string => $one->value,
                array_filter(Component::cases(), static fn(Component $one): bool => $one->isMass()),
            ),
        );
    }

    /** @return array<string, float> grams in 100 g, by component */
    private static function grams(Ingredient $ingredient): array
    {
        return array_combine(
            self::masses(),
            array_map(
                static fn(string $component): float => round(
                    $ingredient->mixture->get(Component::from($component)),
                    self::DECIMALS,
                ),
                self::masses(),
            ),
        );
    }
}
