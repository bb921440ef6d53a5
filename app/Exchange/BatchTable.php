<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Batches\Batch;
use App\Recipes\Sauce;
use App\Recipes\SauceService;
use Carbon\CarbonImmutable;
use Vinculum\Exchange\Csv;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Family\FamilyBook;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;

/** The log: each batch with its recipe; one that was kept elsewhere joins the sauce of its name. */
final readonly class BatchTable implements Table
{
    private const COLUMNS = [
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

    public function __construct(private SauceService $sauceService) {}

    public function write(): string
    {
        /** @var list<Batch> $batches */
        $batches = Batch::query()->withCount(['doses', 'tastings'])->orderBy('id')->get()->all();

        return Csv::write(self::COLUMNS, array_map(static function (Batch $one): array {
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
                'lines' => implode("\n", $one->recipe->texts()),
                'method' => implode("\n", $one->recipe->method),
            ];
        }, $batches));
    }

    public function preview(string $contents): array
    {
        $there = self::there();
        $items = [];
        foreach (TableRows::of($contents) as $line => $row) {
            $items[] = [
                'title' => TableRows::name($row, 'title', $line),
                'kind' => 'batch of ' . self::made($row, $line)->toDateString(),
                'there' => isset($there[self::identityKey($row, $line)]),
            ];
        }

        return $items;
    }

    public function take(string $contents, Measures $measures, bool $merges): array
    {
        $made = ['sauces' => [], 'batches' => []];
        $there = $merges ? self::there() : [];
        $rows = TableRows::of($contents);
        foreach ($rows as $line => $row) {
            TableRows::name($row, 'title', $line);
        }
        foreach ($rows as $line => $row) {
            if (isset($there[self::identityKey($row, $line)])) {
                continue;
            }
            $sauce = Sauce::query()->where('recipe->title', $row['title'])->value('id');
            $recipe = self::recipe($row, $line, $measures);
            if (!is_int($sauce)) {
                $made['sauces'][] = $sauce = $this->sauceService->add($recipe)->id;
            }
            $made['batches'][] = $this->batch($row, $line, $sauce, $recipe);
        }

        return $made;
    }

    /**
     * @param array<string, string> $row
     *
     * @throws ImportFault
     */
    private function batch(array $row, int $line, int $sauce, Recipe $recipe): int
    {
        $batch = new Batch([
            'sauce_id' => $sauce,
            'version' => $this->sauceService->keep($sauce)->number,
            'recipe' => $recipe->withLines(
                array_map(static fn(RecipeLine $one): RecipeLine => $one->apart(), $recipe->lines),
                $recipe->yield,
            ),
            'pan_grams' => TableRows::figure($row, 'pan_grams', $line),
        ]);
        $batch->created_at = self::made($row, $line);
        $batch->save();

        return $batch->id;
    }

    /** @param array<string, string> $row */
    private static function recipe(array $row, int $line, Measures $measures): Recipe
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
        $style = $row['style'] ?? '';

        return new Recipe(
            $row['title'],
            FamilyBook::has($style) ? $style : null,
            RecipeLine::numbered($lines),
            $texts('method'),
            Measures::tryFrom($row['measures'] ?? '') ?? $measures,
            TableRows::text($row, 'yield'),
            pan: TableRows::text($row, 'pan', 100),
        );
    }

    /** @return array<string, true> what tells the batches apart that are there already */
    private static function there(): array
    {
        $there = [];
        /** @var Batch $batch */
        foreach (Batch::query()->select(['id', 'recipe', 'created_at'])->cursor() as $batch) {
            $there[$batch->recipe->title . "\n" . $batch->created_at?->getTimestamp()] = true;
        }

        return $there;
    }

    /** @param array<string, string> $row */
    private static function identityKey(array $row, int $line): string
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
}
