<?php

declare(strict_types=1);

namespace App\Console;

use App\Batches\Batch;
use App\Batches\BatchLog;
use App\Batches\BatchService;
use App\Batches\CookSessionService;
use App\Database\Setting;
use App\Palate\Guess;
use App\Pantry\Product;
use App\Plans\Plan;
use App\Recipes\Sauce;
use App\Recipes\SauceService;
use Illuminate\Support\Carbon;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Scaling\RequestedSize;

/**
 * The sauces of a made-up towpath galley with some weeks of their history, for a first look round.
 *
 * @phpstan-type Step array{says?: list<array{string, string}>, dose?: list<array{string, float|int, string}>, good?: bool, temperature?: string, food?: string, words?: string, scores?: array<string, float|int>}
 * @phpstan-type Cook array{factor: string, events: list<array{kind: string, figures: array<string, float|int>, words?: string, after: int}>, jars: list<array{ml: float|int, count: int, went_to: string}>, tasting: Step|null}
 * @phpstan-type Event array{sauce?: string, days_ago: int, cook?: Cook, product?: array{name: string, like: string, price: float, pack_grams: float|int, in_stock: bool}, plan?: array{title: string, days: int, hour: string, rings: int, items: list<array{string, string}>}, guesses?: array{axis: string, answers: list<array{float|int, int}>}, edit?: array<string, string>, batch?: array{grams: float|int|null, steps: list<Step>, into_the_sauce?: bool}}
 */
final readonly class DemoKitchen
{
    private const OLDEST_DAYS = 30;

    public function __construct(
        private SauceService $sauceService,
        private BatchService $batchService,
        private CookSessionService $cookSessions,
        private BatchLog $batchLog,
    ) {}

    /** @return int how many sauces were put on the shelf; none when it already held some */
    public function load(): int
    {
        if (Sauce::withTrashed()->exists()) {
            return 0;
        }
        $files = glob(database_path('demo/*.txt')) ?: [];
        foreach (array_reverse($files) as $file) {
            $recipe = RecipeReader::read((string) file_get_contents($file));
            self::daysAgo(
                self::OLDEST_DAYS,
                fn(): Sauce => $this->sauceService->add(
                    $recipe->in(Measures::Metric),
                ),
            );
        }
        /** @var list<Event> $history */
        $history = json_decode(
            (string) file_get_contents(database_path('demo/history.json')),
            true,
            16,
            JSON_THROW_ON_ERROR,
        );
        foreach ($history as $event) {
            self::daysAgo($event['days_ago'], fn() => $this->recordEvent($event));
        }

        Setting::write('demo', 'yes');

        return count($files);
    }

    /** @param Event $event */
    private function recordEvent(array $event): void
    {
        if (isset($event['product'])) {
            Product::query()->create([...$event['product'], 'stands_in' => false, 'label' => []]);
        }
        if (isset($event['plan'])) {
            $items = array_map(
                static fn(array $item): array => ['sauce' => self::sauce($item[0])->id, 'size' => $item[1]],
                $event['plan']['items'],
            );
            Plan::query()->create([
                'title' => $event['plan']['title'],
                'ready' => Carbon::now()->addDays($event['plan']['days'])->format('Y-m-d')
                    . " {$event['plan']['hour']}",
                'zone' => 'UTC',
                'rings' => $event['plan']['rings'],
                'items' => $items,
            ]);
        }
        foreach ($event['guesses']['answers'] ?? [] as [$level, $right]) {
            Guess::query()->create([
                'axis' => $event['guesses']['axis'] ?? '',
                'level' => $level,
                'right' => $right === 1,
            ]);
        }
        if (!isset($event['sauce'])) {
            return;
        }
        $sauce = self::sauce($event['sauce']);
        if (isset($event['cook'])) {
            $this->cook($sauce, $event['cook']);
        }
        if (isset($event['edit'])) {
            $edit = $sauce->recipe;
            $lines = array_map(
                static fn(RecipeLine $line): RecipeLine => $line->reading($event['edit'][$line->text] ?? $line->text),
                $edit->lines,
            );
            $this->sauceService->edit($sauce->id, $sauce->revision, $edit->withLines($lines, $edit->yield));
            $this->sauceService->keep($sauce->id);
        }
        if (isset($event['batch'])) {
            $batch = $this->batchService->start(
                $sauce->id,
                $event['batch']['grams'] === null ? null : (float) $event['batch']['grams'],
            );
            foreach ($event['batch']['steps'] as $step) {
                $this->taste($batch->load(['doses', 'tastings']), $step);
            }
            if ($event['batch']['into_the_sauce'] ?? false) {
                $this->batchService->intoTheSauce($batch);
            }
        }
    }

    /** @param Cook $cook */
    private function cook(Sauce $sauce, array $cook): void
    {
        $batch = $this->cookSessions->startFromSheet($sauce->id, new RequestedSize(factor: $cook['factor']));
        $at = (float) Carbon::now()->getTimestamp();
        foreach ($cook['events'] as $event) {
            $at += 60.0 * $event['after'];
            $figures = array_map(floatval(...), $event['figures']);
            if (isset($figures['line'])) {
                --$figures['line'];
            }
            $this->cookSessions->recordEvent($batch, $event['kind'], $figures, [], $event['words'] ?? null, $at, null);
        }
        $batch->load(['doses', 'tastings']);
        foreach ($cook['jars'] as $jars) {
            $this->batchLog->fill($batch, (float) $jars['ml'], $jars['count'], $jars['went_to']);
        }
        if ($cook['tasting'] !== null) {
            $this->taste($batch, $cook['tasting']);
        }
    }

    private static function sauce(string $title): Sauce
    {
        return Sauce::query()->where('recipe->title', $title)->firstOrFail();
    }

    /** @param Step $step */
    private function taste(Batch $batch, array $step): void
    {
        $said = array_map(
            static fn(array $one): array => ['complaint' => $one[0], 'strength' => $one[1]],
            $step['says'] ?? [],
        );
        if (isset($step['dose'])) {
            $this->batchService->dose(
                $batch,
                array_map(
                    static fn(array $one): array => [
                        'ingredient' => $one[0],
                        'grams' => (float) $one[1],
                        'measure' => $one[2],
                    ],
                    $step['dose'],
                ),
                $said,
                [],
                implode(
                    ', ',
                    array_map(static fn(array $one): string => str_replace('-', ' ', $one['complaint']), $said),
                ),
            );

            return;
        }
        $this->batchService->taste(
            $batch,
            [
                'said' => $said,
                'good' => $step['good'] ?? false,
                'temperature' => $step['temperature'] ?? null,
                'food' => $step['food'] ?? null,
                'words' => $step['words'] ?? null,
                'scores' => array_map(floatval(...), $step['scores'] ?? []),
            ],
        );
        $batch->update(['closed_at' => Carbon::now()]);
    }

    /** As if it were so many days ago, at an hour at which people cook. */
    private static function daysAgo(int $days, callable $then): void
    {
        $at = Carbon::now()->subDays($days);
        Carbon::setTestNow($days === 0 ? $at : $at->setTime(10 + $days % 8, 5 * ($days % 11)));
        try {
            $then();
        } finally {
            Carbon::setTestNow();
        }
    }
}
