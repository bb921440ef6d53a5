<?php

declare(strict_types=1);

namespace App\Plans;

use App\Pantry\Pantry;
use App\Recipes\HomeKitchen;
use App\Recipes\Sauce;
use Carbon\CarbonImmutable;
use Sabre\VObject\Component\VCalendar;
use Vinculum\Balance\Formula;
use Vinculum\CookSession\CookPlan;
use Vinculum\Keeping\Said;
use Vinculum\Planning\PlanFault;
use Vinculum\Planning\SauceTasks;
use Vinculum\Planning\Schedule;
use Vinculum\Planning\ScheduledTask;
use Vinculum\Planning\Shopping;
use Vinculum\Report\Report;
use Vinculum\Scaling\RequestedSize;
use Vinculum\Scaling\ScaleFault;
use Vinculum\Substitution\Season;
use Vinculum\Substitution\SwapReason;

/**
 * When to start what, so that it is ready on the day; what to buy; and the same as a calendar.
 *
 * @phpstan-type PlanDraft array{
 *     starts: string,
 *     ready: string,
 *     sauces: list<array{
 *         id: int,
 *         title: string,
 *         cost: float,
 *         unpriced: list<string>,
 *         cost_per_jar: float|null,
 *     }>,
 *     tasks: list<array{
 *         sauce: int,
 *         kind: string,
 *         says: string,
 *         minutes: float,
 *         start: string,
 *         end: string,
 *     }>,
 *     shopping: list<array{
 *         ingredient: string,
 *         name: string,
 *         need_grams: float,
 *         stock_grams: float,
 *         buy_grams: float,
 *         packs: int|null,
 *         pack_grams: float|null,
 *         cost: float|null,
 *         left_grams: float|null,
 *         out_of_season: bool,
 *     }>,
 * }
 */
final readonly class PlanService
{
    public function __construct(
        private HomeKitchen $homeKitchen,
        private Pantry $pantry,
    ) {}

    /**
     * @return PlanDraft the tasks with their times, and the shopping list
     *
     * @throws PlanFault when it cannot be met
     * @throws ScaleFault when a size cannot be made
     */
    public function draft(Plan $plan): array
    {
        [$jobs, $formulas, $costs, $ids] = $this->jobs($plan);
        $schedule = Schedule::backwards($jobs, $plan->readyAt(), self::now($plan), $plan->rings);
        $stock = $this->pantry->shelf();

        return [
            'starts' => $schedule->starts()->format(DATE_ATOM),
            'ready' => $schedule->ready->format(DATE_ATOM),
            'sauces' => array_map(
                static fn(SauceTasks $job, int $id, array $cost): array => [
                    'id' => $id,
                    'title' => $job->title,
                    'cost' => round($cost['cost'], 2),
                    'unpriced' => $cost['unpriced'],
                    'cost_per_jar' => $cost['jars'] > 0 ? round($cost['cost'] / $cost['jars'], 2) : null,
                ],
                $jobs,
                $ids,
                $costs,
            ),
            'tasks' => array_map(
                static fn(ScheduledTask $one): array => [
                    'sauce' => $one->job,
                    'kind' => $one->task->kind,
                    'says' => $one->task->name,
                    'minutes' => Report::rounded($one->task->minutes),
                    'start' => $one->start->format(DATE_ATOM),
                    'end' => $one->end->format(DATE_ATOM),
                ],
                $schedule->tasks,
            ),
            'shopping' => array_map(
                fn(array $one): array => [
                    ...array_map(
                        static fn(mixed $value): mixed => is_float($value) ? Report::rounded($value) : $value,
                        $one,
                    ),
                    'out_of_season' => !$this->isInSeason($one['ingredient'], Season::month($schedule->ready)),
                ],
                Shopping::for($formulas, $stock),
            ),
        ];
    }

    /**
     * RFC 5545, in coordinated universal time, which every calendar turns into its own.
     *
     * @throws PlanFault
     * @throws ScaleFault
     */
    public function calendar(Plan $plan): string
    {
        [$jobs] = $this->jobs($plan);
        $schedule = Schedule::backwards($jobs, $plan->readyAt(), self::now($plan), $plan->rings);
        $calendar = new VCalendar(['PRODID' => '-//Vinculum//Plan//EN']);
        $utc = new \DateTimeZone('UTC');
        foreach ($schedule->tasks as $number => $one) {
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "plan-{$plan->id}-{$number}@vinculum",
                'DTSTAMP' => CarbonImmutable::now('UTC')->toDateTimeImmutable(),
                'DTSTART' => $one->start->setTimezone($utc),
                'DTEND' => $one->end->setTimezone($utc),
                'SUMMARY' => self::printable("{$jobs[$one->job]->title}: {$one->task->name}"),
                'TRANSP' => $one->task->needsHands ? 'OPAQUE' : 'TRANSPARENT',
            ]);
            if ($one->task->needsHands) {
                $event->add(
                    $calendar->createComponent(
                        'VALARM',
                        [
                            'ACTION' => 'DISPLAY',
                            'DESCRIPTION' => self::printable($one->task->name),
                            'TRIGGER' => '-PT10M',
                        ],
                    ),
                );
            }
            $calendar->add($event);
        }

        return $calendar->serialize();
    }

    /**
     * @return array{list<SauceTasks>, list<Formula>, list<array{cost: float, unpriced: list<string>, jars: int}>, list<int>}
     *
     * @throws ScaleFault
     */
    private function jobs(Plan $plan): array
    {
        [$jobs, $formulas, $costs, $ids] = [[], [], [], []];
        foreach ($plan->items as $item) {
            $sauce = Sauce::query()->find($item['sauce']);
            if ($sauce === null) {
                continue;
            }
            $edit = $sauce->recipe;
            $weighed = $this->homeKitchen->weigh($edit);
            $cook = CookPlan::of(RequestedSize::written($item['size'])->scale($weighed), $weighed);
            $jobs[] = SauceTasks::of(
                $edit->title === '' ? 'Unnamed sauce' : $edit->title,
                $cook,
                Said::in($edit->method, $edit->prose())->touchesRaw(),
            );
            $formulas[] = $cook->scale->after;
            $costs[] = [
                ...Shopping::cost($cook->scale->after, $this->pantry->shelf()),
                'jars' => array_sum(array_column($cook->scale->fill, 'count')),
            ];
            $ids[] = $sauce->id;
        }

        return [$jobs, $formulas, $costs, $ids];
    }

    private function isInSeason(string $key, int $month): bool
    {
        $catalogue = $this->homeKitchen->catalogue();

        return !$catalogue->has($key) || SwapReason::isInSeason($catalogue->get($key)->kind(), $month);
    }

    /** Without the control characters that no calendar may hold (RFC 5545, 3.3.11). */
    private static function printable(string $text): string
    {
        return (string) preg_replace('/[\x00-\x08\x0B\x0C\x0E-\x1F\x7F]/', '', $text);
    }

    private static function now(Plan $plan): \DateTimeImmutable
    {
        return CarbonImmutable::now()->setTimezone($plan->zone)->toDateTimeImmutable();
    }
}
