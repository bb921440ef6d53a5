<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Balance\MeasuredYield;
use Vinculum\Chemistry\Component;
use Vinculum\Cooking\CookedStage;
use Vinculum\Cooking\Hob;
use Vinculum\Cooking\MethodLinks;
use Vinculum\Cooking\MethodStep;
use Vinculum\Cooking\Pan;
use Vinculum\Cooking\StagedCook;
use Vinculum\Cooking\WeighedCook;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Writing\UnweighedAmount;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\ScaledLine;

/** One cook from beginning to end: what to measure in which order, what to do with it, and the weight to stop at. */
final readonly class CookPlan
{
    /** An amount this far off, in steps of the whole sauce, is worth a word. */
    public const WORTH_REBALANCING = 0.5;
    /** Grams of water that leave, from which the pan is weighed. */
    private const WORTH_WEIGHING = 1.0;
    private const AS_GOOD_AS_NOTHING = 0.05;
    private const SHORTEST_CALIBRATION_MINUTES = 2.0;

    /**
     * @param list<MeasureTask> $items in the order a cook measures
     * @param list<CookedStage> $stages
     * @param float $finishedGrams of the sauce alone
     */
    private function __construct(
        public Scale $scale,
        public array $items,
        public array $stages,
        public float $finishedGrams,
        public ?Pan $pan,
        private Hob $hob,
        public bool $hasScale,
        public bool $readiesFirst,
        private Measures $measures,
    ) {}

    /** @param Sauce $sauce that the scale is of */
    public static function of(Scale $scale, Sauce $sauce): self
    {
        [$recipe, $kitchen] = [$sauce->recipe, $sauce->kitchen];
        $pan = $recipe->pan === null ? null : Pan::parse($recipe->pan);
        $cook = StagedCook::of($scale->after, $pan, $recipe->method, $kitchen->hob);
        $items = [];
        foreach ($cook->stages as $stage => $cooked) {
            foreach (array_keys($cooked->stage->lines) as $number) {
                $isAsWritten = abs($scale->factor - 1.0) < 1e-6;
                $item = self::item($scale->lines[$number], $number, $stage, $isAsWritten, $sauce->measures());
                $items[] = $kitchen->hasScale ? $item : $item->withoutScale($scale->lines[$number], $sauce->measures());
            }
        }

        return new self(
            $scale,
            MeasuringOrder::inOrder($items, $kitchen->readiesFirst),
            $cook->stages,
            FinishedBatch::of($scale->after)->mixture->grams(),
            $pan,
            $kitchen->hob,
            $kitchen->hasScale,
            $kitchen->readiesFirst,
            $sauce->measures(),
        );
    }

    /** What the cook measures with. */
    public function spoons(): Spoons
    {
        return Spoons::of($this->measures, hasScale: $this->hasScale);
    }

    /** @return list<MethodStep> every step, in order */
    public function steps(): array
    {
        return array_merge(
            [],
            ...array_map(static fn(CookedStage $stage): array => $stage->stage->steps, $this->stages),
        );
    }

    /**
     * What stands ready for each step, where all was measured before; nothing where it is measured as it goes.
     *
     * @return array<int, list<MeasureTask>> by step, from 0
     */
    public function needs(): array
    {
        $steps = $this->steps();
        if (!$this->readiesFirst || $steps === []) {
            return [];
        }
        $links = MethodLinks::of($steps, $this->scale->after->lines);
        $needs = [];
        foreach ($this->items as $item) {
            $needs[$links->stepOf($item->line) ?? 0][] = $item;
        }

        return $needs;
    }

    /**
     * What can be done about what was poured over or under; nothing while it does not matter, or nothing is left to
     * change.
     *
     * @return list<Rebalance>
     */
    public function rebalancing(CookRecord $record): array
    {
        if ($record->weighings->isSettled || count($record->weighings->actual) >= count($this->countedLines())) {
            return [];
        }
        $ways = Rebalance::ways($this->countedLines(), $record->weighings->actual);

        return $ways[0]->away < self::WORTH_REBALANCING ? [] : $ways;
    }

    /** Grams of a line that are still to be measured: as planned, or as it was rebalanced. */
    public function target(int $line, CookRecord $record): ?float
    {
        return $record->weighings->changed[$line] ?? $this->scale->lines[$line]->grams;
    }

    /**
     * Grams that the sauce in the pan should weigh when the heat goes off, for what really goes in; what goes in later
     * is not in it.
     */
    public function stopAt(CookRecord $record): float
    {
        $planned = $this->scale->mixed->grams();

        return $planned > 0.0
            ? max(
                0.0,
                $this->finishedGrams * $this->goesIn($record)->mixed()->grams() / $planned - $this->laterGrams($record),
            )
            : 0.0;
    }

    /**
     * The formula as it really goes into the pot: what is in as measured, the rest as planned; the yield as weighed,
     * where it was.
     */
    public function actualFormula(CookRecord $record): Formula
    {
        $formula = $this->goesIn($record);
        $weighed = $record->weighings->sauceGrams();
        if ($weighed !== null) {
            return $formula->uncooked()->cookedTo(
                MeasuredYield::estimated($weighed + $this->laterGrams($record), 0.01 * $weighed),
            );
        }
        $planned = $this->scale->mixed->grams();

        return $planned > 0.0 && $formula->yield !== null
            ? $formula->cookedTo($formula->yield->times($formula->mixed()->grams() / $planned))
            : $formula;
    }

    /** The formula with what was measured, cooked as planned. */
    private function goesIn(CookRecord $record): Formula
    {
        $lines = [];
        foreach ($this->scale->after->lines as $number => $line) {
            $planned = $line->grams->value ?? 0.0;
            $grams = $record->weighings->grams($number) ?? $planned;
            $lines[] = match (true) {
                $record->weighings->wasWeighed($number) => self::weighed($line, $grams),
                $planned > 0.0 => $line->times($grams / $planned),
                default => $line,
            };
        }

        return $this->scale->after->withLines(...$lines);
    }

    /** Grams that go in once the heat is off. */
    private function laterGrams(CookRecord $record): float
    {
        $later = 0.0;
        foreach ($this->stages as $cooked) {
            foreach ($cooked->stage->isOffTheHeat ? $cooked->stage->lines : [] as $number => $line) {
                $later += $record->weighings->grams($number) ?? $line->grams->value ?? 0.0;
            }
        }

        return $later;
    }

    /**
     * What this cook teaches of its pan and hob; null where it was not weighed, not timed, or was cooked at more than
     * one heat.
     */
    public function weighedCook(CookRecord $record): ?WeighedCook
    {
        $weighed = $record->weighings->sauceGrams();
        $surface = $this->pan?->squareMetres;
        [$minutes, $heats] = [0.0, []];
        foreach ($this->steps() as $number => $step) {
            if ($step->kind !== 'reduce' || $step->heat === null) {
                continue;
            }
            ['started' => $started, 'done' => $done] = $record->times->ofStep($number);
            if ($started === null || $done === null) {
                return null;
            }
            $minutes += ($done - $started) / 60.0 * $step->openShare();
            $heats[$step->heat->key] = $step->heat;
        }
        $lost = $weighed === null
            ? 0.0
            : $this->goesIn($record)->mixed()->grams() - $this->laterGrams($record) - $weighed;
        $heat = count($heats) === 1 ? reset($heats) : null;
        // a time that no burner could do it in was a slip of the finger
        if (
            $heat === null
            || $surface === null
            || $minutes < self::SHORTEST_CALIBRATION_MINUTES
            || $lost <= 0.0
            || $lost / $minutes > $heat::mostGramsPerMinute()
        ) {
            return null;
        }

        return new WeighedCook($surface, $heat->key, $minutes, $lost);
    }

    /** Whether so much water leaves that the pan is weighed. */
    public function isBoiledDown(): bool
    {
        return $this->toBoilOff()['grams'] >= self::WORTH_WEIGHING;
    }

    /** So much of a line in words; "none" where it is as good as nothing. */
    public function words(int $line, float $grams, Spoons $spoons): string
    {
        $resolved = $this->scale->lines[$line]->line;
        $density = $resolved->ingredient?->portions->density;

        return match (true) {
            $grams < self::AS_GOOD_AS_NOTHING => 'none',
            !$this->hasScale => UnweighedAmount::words($resolved, $grams, $this->measures),
            default => $spoons->measure($spoons->nearest($grams, $density), $density)->words(),
        };
    }

    /**
     * @return array{grams: float, minutes: array{value: float, low: float, high: float}|null} water to boil off, and
     *     how long that takes
     */
    public function toBoilOff(): array
    {
        $water = max(
            0.0,
            $this->scale->mixed
                ->get(Component::Water) - FinishedBatch::of($this->scale->after)->mixture
                ->get(Component::Water),
        );
        $surface = $this->pan?->squareMetres;
        foreach ($this->steps() as $step) {
            if ($surface !== null && $step->heat !== null && $water > 0.5) {
                return [
                    'grams' => $water,
                    'minutes' => $this->hob->heat($step->heat, $this->pan)->minutes($water, $surface),
                ];
            }
        }

        return ['grams' => $water, 'minutes' => null];
    }

    /** @return array<int, ResolvedLine> */
    private function countedLines(): array
    {
        return array_filter(
            $this->scale->after->lines,
            static fn(ResolvedLine $line): bool => $line->countsInTheMixture(),
        );
    }

    private static function weighed(ResolvedLine $line, float $grams): ResolvedLine
    {
        return $line->ingredient === null ? $line : $line->inGrams(Amount::of($grams, max(0.01 * $grams, 0.3)));
    }

    /** "2 stars", "a good grinding of": what nobody weighs in the cook's own words; null for what is measured. */
    private static function ownWords(ResolvedLine $line): ?string
    {
        $measured = $line->written->measured;
        $own = trim($line->written->amountText);

        return match (true) {
            $measured === null || $own === '' || $line->written->part !== null => null,
            $measured->unit === null => $own,
            $measured->unit->isVague() => (string) preg_replace('/(?<! of)$/u', ' of', $own),
            default => null,
        };
    }

    /** @param bool $isAsWritten at the size of the recipe, where the cook's own counts and grindings stand */
    private static function item(
        ScaledLine $scaled,
        int $number,
        int $stage,
        bool $isAsWritten,
        Measures $measures,
    ): MeasureTask {
        $line = $scaled->line;
        $own = $isAsWritten ? self::ownWords($line) : null;
        // what nobody knows is said as it is written, at this size
        $called = $line->status === LineStatus::Unknown ? $scaled->written($measures) : $line->called();

        return new MeasureTask(
            $number,
            $stage,
            $own === null || $line->written->name === '' ? $called : $line->written->name,
            $scaled->grams ?? 0.0,
            $own ?? $scaled->measure ?? '',
            $line->ingredient?->portions->texture,
            $scaled->note,
            $own === null && $scaled->grams === null && $line->status !== LineStatus::Unknown,
        );
    }
}
