<?php

declare(strict_types=1);

namespace Tests\core\CookSession;

use PHPUnit\Framework\TestCase;
use Tests\core\Family\Classics;
use Tests\core\Weighed;
use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Cooking\Hob;
use Vinculum\Cooking\Pan;
use Vinculum\CookSession\CookEvent;
use Vinculum\CookSession\CookPlan;
use Vinculum\CookSession\CookRecord;
use Vinculum\CookSession\MeasureTask;
use Vinculum\CookSession\Move;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Recipe\Writing\UnweighedAmount;
use Vinculum\Report\MoveReport;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\TargetSize;

/** A cook from its sheet: what is planned, what happened, and what follows. */
final class CookPlanTest extends TestCase
{
    private const LINES = [
        '1 kg tomatoes',
        '200 ml cider vinegar',
        '100 g sugar',
        '10 g salt',
        '20 g horseradish [cold]',
    ];
    private const METHOD = ['Simmer 40 minutes, lid off', 'Stir in the horseradish when it is cold'];

    public function test_everything_is_measured_once_and_the_cold_comes_last(): void
    {
        $plan = self::plan();

        self::assertSame(
            [0, 1, 2, 3, 4],
            self::sorted(array_map(static fn(MeasureTask $item): int => $item->line, $plan->items)),
        );
        self::assertSame(4, $plan->items[4]->line);
        self::assertSame('tomatoes', $plan->items[1]->name, 'the largest dry thing after the wet');
    }

    public function test_the_pan_stops_at_the_sauce_without_what_goes_in_later(): void
    {
        $plan = self::plan();

        self::assertEqualsWithDelta(
            $plan->finishedGrams - $plan->scale->lines[4]->grams,
            $plan->stopAt(CookRecord::of([])),
            1e-6,
        );
    }

    public function test_more_in_the_pan_moves_the_weight_to_stop_at(): void
    {
        $plan = self::plan();
        $record = CookRecord::of([self::event(1, 'measured', ['line' => 0.0, 'grams' => 1200.0])]);

        self::assertGreaterThan($plan->stopAt(CookRecord::of([])) + 100.0, $plan->stopAt($record));
        self::assertNotSame([], $plan->rebalancing($record), 'a fifth more of the tomatoes is worth a word');
    }

    public function test_a_gram_too_much_is_no_matter_and_after_a_choice_nobody_is_asked_again(): void
    {
        $plan = self::plan();
        $a_gram = [self::event(1, 'measured', ['line' => 0.0, 'grams' => 1004.0])];
        $too_much = [self::event(1, 'measured', ['line' => 3.0, 'grams' => 20.0])];

        self::assertSame([], $plan->rebalancing(CookRecord::of($a_gram)));
        self::assertNotSame([], $plan->rebalancing(CookRecord::of($too_much)));
        $chosen = CookRecord::of([...$too_much, CookEvent::of('rebalanced', 2, 2.0, [], [2 => 140.0], 'solved')]);
        self::assertSame([], $plan->rebalancing($chosen));
        self::assertSame(140.0, $plan->target(2, $chosen));
        self::assertSame(140.0, $plan->actualFormula($chosen)->lines[2]->grams?->value);
    }

    public function test_what_was_measured_is_what_the_batch_is_made_of(): void
    {
        $plan = self::plan();
        $record = CookRecord::of([
            self::event(1, 'measured', ['line' => 2.0, 'grams' => 130.0]),
            self::event(2, 'pan-empty', ['grams' => 800.0]),
            self::event(3, 'pan-reads', ['grams' => 1700.0]),
        ]);
        $formula = $plan->actualFormula($record);

        self::assertSame(130.0, $formula->lines[2]->grams?->value);
        self::assertEqualsWithDelta(1.3, $formula->lines[2]->grams->deviation, 1e-9, 'weighed to a hundredth');
        self::assertSame(900.0, $record->weighings->sauceGrams());
        self::assertEqualsWithDelta(
            900.0 + $plan->scale->lines[4]->grams,
            FinishedBatch::of($formula)->mixture->grams(),
            1e-6,
            'with the horseradish that goes in later',
        );
    }

    public function test_what_was_wrong_is_undone_by_a_later_event(): void
    {
        $record = CookRecord::of([
            self::event(1, 'measured', ['line' => 0.0, 'grams' => 1.0]),
            self::event(2, 'undone', ['event' => 1.0]),
        ]);

        self::assertSame([], $record->weighings->actual);
        self::assertSame([], $record->events);
    }

    public function test_a_weighed_and_timed_cook_teaches_the_hob_and_the_next_plan_knows(): void
    {
        $plan = self::plan();
        $cook = [
            self::event(1, 'step-started', ['step' => 0.0], 0.0),
            self::event(2, 'step-done', ['step' => 0.0], 2400.0),
            self::event(3, 'pan-reads', ['grams' => 1100.0], 2500.0),
        ];
        $learned = $plan->weighedCook(CookRecord::of($cook));

        self::assertNotNull($learned);
        self::assertSame([40.0, 'simmering'], [$learned->minutes, $learned->heat]);
        self::assertEqualsWithDelta(
            $plan->scale->mixed->grams() - $plan->scale->lines[4]->grams - 1100.0,
            $learned->gramsLost,
            1e-6,
        );
        $next = self::plan(Hob::from($learned));
        $minutes = $next->toBoilOff()['minutes'] ?? ['value' => 0.0];
        self::assertEqualsWithDelta(40.0 * $next->toBoilOff()['grams'] / $learned->gramsLost, $minutes['value'], 1e-6);
    }

    public function test_a_slip_of_the_finger_teaches_nothing(): void
    {
        $plan = self::plan();
        $too_fast = [
            self::event(1, 'step-started', ['step' => 0.0], 0.0),
            self::event(2, 'step-done', ['step' => 0.0], 125.0),
            self::event(3, 'pan-reads', ['grams' => 900.0]),
        ];
        $not_timed = [self::event(3, 'pan-reads', ['grams' => 900.0])];

        self::assertNull(
            $plan->weighedCook(CookRecord::of($too_fast)),
            '400 g in two minutes is more than any ring gives',
        );
        self::assertNull($plan->weighedCook(CookRecord::of($not_timed)));
    }

    public function test_timers_know_when_they_began(): void
    {
        $record = CookRecord::of([
            CookEvent::of('timer-started', 1, 100.0, ['minutes' => 15.0], [], 'Simmer'),
            CookEvent::of('timer-started', 2, 160.0, ['minutes' => 2.0], [], 'Onion'),
            self::event(3, 'timer-stopped', ['timer' => 2.0], 200.0),
        ]);

        self::assertSame([1000.0, 280.0], array_map(static fn($timer): float => $timer->ends(), $record->times->timers));
        self::assertSame([null, 200.0], array_map(static fn($timer): ?float => $timer->stopped, $record->times->timers));
    }

    public function test_a_pan_lighter_than_itself_is_no_weight(): void
    {
        self::assertNull(
            CookRecord::of([
                self::event(1, 'pan-empty', ['grams' => 900.0]),
                self::event(2, 'pan-reads', ['grams' => 500.0]),
            ])->weighings->sauceGrams(),
        );
    }

    public function test_a_yield_scales_with_what_really_went_in(): void
    {
        $formula = Formula::fromTexts(
            ['1 kg tomatoes', '100 g sugar'],
            Catalogue::shipped(),
            Measures::Metric,
            '600 g',
        );
        $plan = self::planned(Weighed::formula($formula, measures: Measures::Metric));
        $twice = CookRecord::of([
            self::event(1, 'measured', ['line' => 0.0, 'grams' => 2000.0]),
            self::event(2, 'measured', ['line' => 1.0, 'grams' => 200.0]),
        ]);

        self::assertEqualsWithDelta(1200.0, FinishedBatch::of($plan->actualFormula($twice))->mixture->grams(), 1e-6);
        self::assertEqualsWithDelta(
            2.0 * $formula->mixed()->get(Component::Fructose),
            FinishedBatch::of($plan->actualFormula($twice))->mixture->get(Component::Fructose),
            1e-6,
        );
    }

    /** What a cook has written is what a cook looks for on the shelf; nothing unknown becomes "to taste". */
    public function test_a_line_is_measured_by_the_cooks_own_words_and_weighs_once(): void
    {
        $written = [
            '4 tbsp bourbon' => ['4 tbsp bourbon', '57 g'],
            '60 g black treacle' => ['60 g black treacle', null],
            '1.5 kg tomatoes' => ['1.5 kg tomatoes', null],
            '8 g cayenne' => ['8 g cayenne', null],
            'juice of 2 lemons' => ['juice of 2 lemons, about 90 g', null],
            '1 tsp brindlewort' => [
                '1 tsp brindlewort',
                'No ingredient of this name is known; the line is left out. Try a plainer name for it.',
            ],
            'salt' => ['salt', 'to taste'],
        ];
        $formula = Formula::fromTexts(array_keys($written), Catalogue::shipped(), Measures::Metric);
        $plan = self::planned(Weighed::formula($formula, measures: Measures::Metric));
        $record = CookRecord::of([]);
        $told = [];
        foreach (Move::all($plan, $record) as $move) {
            $measure = MoveReport::of($move, $plan, $record, Spoons::of(Measures::Metric))->measure;
            if ($measure !== null) {
                $told[$formula->lines[$measure['line'] - 1]->text()] = [$measure['says'], $measure['notes'][0] ?? null];
            }
        }

        foreach ($written as $text => $expected) {
            self::assertSame($expected, $told[$text], $text);
        }
    }

    public function test_a_line_is_called_as_its_cook_calls_it(): void
    {
        foreach ([
            '4 tbsp bourbon' => 'bourbon', '1 stick cinnamon' => 'cinnamon', '2 star anise' => 'Star anise',
            'zest of 1 lemon' => 'Lemon zest', '3 green chillies' => 'Fresh green chilli', '60 ml ale' => 'ale',
            '1 tin chopped tomatoes' => 'chopped tomatoes', '1 tsp brindlewort' => '1 tsp brindlewort',
        ] as $text => $called) {
            $line = Formula::fromTexts([$text], Catalogue::shipped(), Measures::Metric)->lines[0];
            self::assertSame($called, $line->called(), $text);
        }
    }

    /** Every line of every classic: who has no scale is never asked for a weight where a spoon or a piece would do. */
    public function test_without_a_scale_nothing_asks_for_a_weight(): void
    {
        [$asked, $weighed] = [0, []];
        foreach (Classics::all() as [, $title, $balance]) {
            $sauce = Weighed::formula($balance->formula, null, Measures::Us, '24 cm', ['Simmer for 30 minutes.'], null, false);
            $plan = self::planned($sauce);
            $record = CookRecord::of([]);
            foreach (Move::all($plan, $record) as $move) {
                self::assertNotContains($move->kind, ['pan-empty', 'pan-reads'], $title);
                $measure = MoveReport::of($move, $plan, $record, Spoons::of(Measures::Us))->measure;
                if ($measure === null) {
                    continue;
                }
                ++$asked;
                self::assertFalse($measure['is_weighed']);
                self::assertSame([], preg_grep('/^[\d.]+ k?g$/', $measure['notes']), $title);
                if (UnweighedAmount::isWeight($measure['measure'])) {
                    $weighed[] = "{$title}: {$measure['says']}";
                }
            }
        }

        self::assertGreaterThan(700, $asked);
        // what has neither a density nor a weight of one can only be weighed, and says so: "about 30 g"
        self::assertLessThan(0.02 * $asked, count($weighed), implode("\n", $weighed));
    }

    /** Every classic, cooked in two stages: all stands ready once before the heat, and each step says what it needs of it. */
    public function test_who_makes_ready_first_measures_all_of_it_before_the_first_step(): void
    {
        foreach (Classics::all() as [, $title, $balance]) {
            $sauce = Weighed::formula($balance->formula, null, Measures::Us, '24 cm', ['Simmer for 30 minutes.', 'Stir well.']);
            $first = new Sauce(
                self::readying($sauce->kitchen),
                $sauce->recipe,
                $sauce->formula,
                $sauce->treatment,
                $sauce->family,
                $sauce->aim,
                $sauce->cook,
            );
            [$asItGoes, $atOnce] = [self::planned($sauce), self::planned($first)];
            $record = CookRecord::of([]);
            $moves = Move::all($atOnce, $record);
            $kinds = array_column($moves, 'kind');
            $steps = array_keys($kinds, 'step', true);
            $measured = array_keys($kinds, 'measure', true);
            self::assertLessThan(min($steps), $measured === [] ? 0 : max($measured), $title);
            $lines = static fn(array $items): array => self::sorted(array_column($items, 'line'));
            self::assertSame($lines($asItGoes->items), $lines($atOnce->items), "{$title}: each once");
            $needs = array_merge([], ...array_column($moves, 'needs'));
            self::assertSame($lines($atOnce->items), $lines($needs), "{$title}: each is needed at one step");
            self::assertSame([], array_merge([], ...array_column(Move::all($asItGoes, $record), 'needs')), $title);
        }
    }

    private static function readying(Kitchen $kitchen): Kitchen
    {
        return new Kitchen($kitchen->catalogue, $kitchen->hob, readiesFirst: true);
    }

    private static function planned(Sauce $sauce): CookPlan
    {
        return CookPlan::of(Scale::of($sauce, TargetSize::factor('1')), $sauce);
    }

    private static function plan(?Hob $hob = null): CookPlan
    {
        $hob ??= Hob::unknown();
        $formula = \Vinculum\Cooking\StagedCook::of(
            Formula::fromTexts(self::LINES, Catalogue::shipped(), Measures::Metric),
            Pan::parse('24 cm'),
            self::METHOD,
            $hob,
        )->formula;

        return self::planned(Weighed::formula($formula, null, Measures::Metric, '24 cm', self::METHOD, $hob));
    }

    /** @param array<string, float> $figures */
    private static function event(int $id, string $kind, array $figures, float $at = 0.0): CookEvent
    {
        return CookEvent::of($kind, $id, $at, array_map(floatval(...), $figures));
    }

    /**
     * @param list<int> $numbers
     *
     * @return list<int>
     */
    private static function sorted(array $numbers): array
    {
        sort($numbers);

        return $numbers;
    }
}
