<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Volume;
use Vinculum\Cooking\KeepingClaim;
use Vinculum\Cooking\MethodLinks;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\MethodStep;
use Vinculum\Cooking\Pan;
use Vinculum\Facts\FactsFile;
use Vinculum\Keeping\Caution;
use Vinculum\Keeping\Cautions;
use Vinculum\Keeping\Keep;
use Vinculum\Keeping\StepCautions;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Amount;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Scaling\Scale;

/**
 * A recipe as a cook follows it: what to get ready, then each sentence of the method with what goes in there, what it
 * warns of, and what can be done meanwhile.
 */
final readonly class CookSheet
{
    /**
     * @param list<SheetItem> $ready in the order a cook measures
     * @param list<SheetStep> $steps
     * @param array{grams: float, low: float, high: float, millilitres: float} $finished
     * @param list<array{container_ml: float, count: int, filled_ml: float, left_over_ml: float}> $fill
     * @param string|null $keepingClaim what the recipe says of how long it keeps
     * @param list<Caution> $cautions of the sauce as a whole
     * @param list<string> $notes
     */
    private function __construct(
        public array $ready,
        public array $steps,
        public array $finished,
        public array $fill,
        public ?Pan $pan,
        public ?string $keepingClaim,
        public array $cautions,
        public array $notes,
    ) {}

    /**
     * @param Scale|null $scale where it is made at another size
     * @param bool $hasScale whether the cook can weigh
     */
    public static function of(Sauce $sauce, ?Scale $scale, bool $hasScale): self
    {
        [$balance, $cook] = [$sauce->balance(), $sauce->cook];
        if ($scale !== null) {
            [, $balance] = $scale->balances();
            $resized = $scale->after->yieldText === null ? $scale->after->uncooked() : $scale->after;
            $cook = $sauce->kitchen->cooked($sauce->recipe, $resized)->cook;
        }
        $lines = array_filter(
            $balance->formula->lines,
            static fn(ResolvedLine $line): bool => $line->status !== LineStatus::Heading,
        );
        $amounts = new SheetAmounts($scale === null ? [] : $scale->lines, $sauce->measures(), $hasScale);
        $steps = MethodReader::steps($sauce->recipe->method);
        $links = MethodLinks::of($steps, $lines);

        return new self(
            ready: self::ready($lines, $amounts),
            steps: self::steps($steps, $links, $lines, $amounts),
            finished: self::finished($balance),
            fill: $scale->fill ?? [],
            pan: $cook?->pan,
            keepingClaim: KeepingClaim::in($sauce->recipe->told()),
            cautions: [...Cautions::for($balance), ...Keep::of($balance)->cautions],
            notes: [
                ...$sauce->recipe->notes,
                ...($cook->notes ?? []),
                ...($scale->notes ?? []),
                ...self::notes($links, $lines, $steps),
            ],
        );
    }

    /**
     * @param array<int, ResolvedLine> $lines
     *
     * @return list<SheetItem>
     */
    private static function ready(array $lines, SheetAmounts $amounts): array
    {
        $tasks = [];
        foreach ($lines as $number => $line) {
            $tasks[] = new MeasureTask(
                $number,
                0,
                $line->written->text,
                $line->grams->value ?? 0.0,
                $amounts->measure($number, $line),
                $line->ingredient?->portions->texture,
            );
        }

        return array_map(
            static fn(MeasureTask $task): SheetItem => $amounts->item($task->line, $lines[$task->line], 1.0),
            MeasuringOrder::inOrder($tasks),
        );
    }

    /**
     * @param list<MethodStep> $steps
     * @param array<int, ResolvedLine> $lines
     *
     * @return list<SheetStep>
     */
    private static function steps(array $steps, MethodLinks $links, array $lines, SheetAmounts $amounts): array
    {
        $hot = array_keys(array_filter($steps, static fn(MethodStep $step): bool => $step->isAtTheHob()));
        [$sheet, $state, $said, $isHot, $contents] = [[], SheetStep::COLD, [], false, ''];
        foreach ($steps as $number => $step) {
            $state = self::state($step, $number, $hot, $state);
            $uses = [];
            foreach ($links->puts[$number] ?? [] as $line => $share) {
                $uses[] = $amounts->item($line, $lines[$line], $share);
                $contents .= ', ' . ($lines[$line]->ingredient->name ?? $lines[$line]->text());
            }
            foreach ($links->works[$number] ?? [] as $line) {
                $uses[] = $amounts->item($line, $lines[$line], 0.0);
            }
            $cautions = [];
            foreach (StepCautions::for($step->text, $isHot, $contents) as $caution) {
                // paragraphs under every step are read under none
                if (!isset($said[$caution->code])) {
                    $cautions[] = $caution;
                    $said[$caution->code] = true;
                }
            }
            $isHot = $isHot || $step->isAtTheHob();
            $sheet[] = new SheetStep(
                $step,
                $uses,
                $links->takesOut[$number] ?? [],
                StepWatch::lookFrom($step),
                $state,
                $cautions,
                StepWatch::meanwhile($step, array_slice($steps, $number + 1)),
            );
        }

        return $sheet;
    }

    /**
     * What state the pot is in while things go in: on the heat from its first step at the hob to its last, unless a step
     * takes it off.
     *
     * @param list<int> $hot steps at the hob
     * @param 'heat'|'off-heat'|'cold' $before
     *
     * @return 'heat'|'off-heat'|'cold'
     */
    private static function state(MethodStep $step, int $number, array $hot, string $before): string
    {
        $isTakenOff = FactsFile::named('doing')['taken-off']->isSaidIn($step->text, 'words');

        return match (true) {
            $hot === [], $number < min($hot) => SheetStep::COLD,
            $isTakenOff && !$step->isAtTheHob() => SheetStep::OFF_THE_HEAT,
            $step->isAtTheHob() => SheetStep::IN_THE_HEAT,
            $number > max($hot) && $before === SheetStep::IN_THE_HEAT => SheetStep::OFF_THE_HEAT,
            default => $before === SheetStep::OFF_THE_HEAT && $step->kind === 'cool' ? SheetStep::COLD : $before,
        };
    }

    /** @return array{grams: float, low: float, high: float, millilitres: float} */
    private static function finished(Balance $balance): array
    {
        $grams = $balance->mixture->grams();
        $variance = 0.0;
        foreach ($balance->formula->losses()->doubts ?? [] as $doubt) {
            $variance += ($doubt[Component::Water->value] ?? 0.0) ** 2;
        }
        $half = Amount::NINETY_PERCENT * sqrt($variance);

        return [
            'grams' => $grams,
            'low' => max(0.0, $grams - $half),
            'high' => $grams + $half,
            'millilitres' => Volume::millilitres($balance->mixture),
        ];
    }

    /**
     * @param array<int, ResolvedLine> $lines
     * @param list<MethodStep> $steps
     *
     * @return list<string>
     */
    private static function notes(MethodLinks $links, array $lines, array $steps): array
    {
        if ($steps === []) {
            return ['There is no method, so no step says when things go in.'];
        }
        $unnamed = [];
        foreach ($links->unnamed as $line) {
            $unnamed[$links->stepOf($line) ?? 0][] = "\"{$lines[$line]->written->text}\"";
        }
        ksort($unnamed);

        return [...$links->notesOnTold($lines), ...array_map(
            static fn(array $texts, int $step): string => sprintf(
                'The method does not name %s: %s in at step %d, unless you know better.',
                implode(', ', $texts),
                count($texts) === 1 ? 'it goes' : 'they go',
                $step + 1,
            ),
            $unnamed,
            array_keys($unnamed),
        )];
    }
}
