<?php

declare(strict_types=1);

namespace Vinculum\Planning;

use Vinculum\Cooking\MethodStep;
use Vinculum\CookSession\CookPlan;
use Vinculum\Facts\Facts;
use Vinculum\Keeping\Said;

/** A sauce to be ready on the day, as tasks one after another. */
final readonly class SauceTasks
{
    /** @param list<Task> $tasks in order */
    public function __construct(public string $title, public array $tasks) {}

    /** @param bool $touchesRaw it goes on what is raw, and is served too: it is divided before */
    public static function of(string $title, CookPlan $plan, bool $touchesRaw = false): self
    {
        $usual = Facts::of(PlanningFacts::class);
        $steps = $plan->steps();
        $hot = array_keys(array_filter($steps, static fn(MethodStep $step): bool => $step->isAtTheHob()));
        $tasks = [
            new Task(
                'prepare',
                'Prepare and measure',
                max($usual->prepareLeast, $usual->prepareLine * count($plan->items)),
                false,
                true,
            ),
        ];
        foreach ($steps as $number => $step) {
            $minutes = $step->minutes === null ? null : array_sum($step->minutes) / 2.0;
            if ($touchesRaw && Said::handlesRaw($step->text)) {
                $tasks[] = self::dividing();
                $touchesRaw = false;
            }
            $tasks[] = match (true) {
                $step->isAtTheHob() => new Task(
                    'cook',
                    $step->text,
                    $minutes ?? $plan->toBoilOff()['minutes']['value'] ?? $usual->cook,
                    true,
                    true,
                ),
                $step->waits() => new Task('rest', $step->text, $minutes ?? $usual->cool, false, false),
                default => new Task('prepare', $step->text, $minutes ?? $usual->step, false, true),
            };
            if ($hot !== [] && $number === max($hot)) {
                $tasks[] = new Task('cool', 'Cool it', $usual->cool, false, false);
            }
        }
        $jars = array_sum(array_column($plan->scale->fill, 'count'));

        return new self(
            $title,
            [...$tasks, ...($touchesRaw ? [self::dividing()] : []), new Task('fill', 'Fill and label', $usual->fill + $usual->fillJar * $jars, false, true)],
        );
    }

    private static function dividing(): Task
    {
        return new Task(
            'prepare',
            'Divide it: set apart in a clean bowl what is for the table or for keeping, before anything raw is near',
            Facts::of(PlanningFacts::class)->step,
            false,
            true,
        );
    }

    public function minutes(): float
    {
        return array_sum(array_map(static fn(Task $task): float => $task->minutes, $this->tasks));
    }
}
