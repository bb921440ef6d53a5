<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\FactsFile;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;

/**
 * Which lines of a formula each step of its method uses: what goes in there, and how much of it; what is worked on; what
 * comes out again. A thing that the method adds twice is divided; one that it never names goes in where the first
 * things do, and is said to.
 */
final readonly class MethodLinks
{
    /** A share this small is nothing left. */
    private const NOTHING = 0.005;
    private const COLD = 'cold';
    private const TO_TASTE = ['salt'];

    /**
     * @param array<int, array<int, float>> $puts share of each line that goes in, by step
     * @param array<int, list<int>> $works lines that a step only works on, by step
     * @param array<int, list<int>> $takesOut lines that come out again, by step
     * @param list<int> $unnamed lines that the method never names
     * @param ToldLinks $told what was said by hand, which wins over the words
     * @param array<int, int> $elsewhere the step at which the words put in a line that goes in at another by hand
     */
    private function __construct(
        public array $puts,
        public array $works,
        public array $takesOut,
        public array $unnamed,
        public ToldLinks $told,
        public array $elsewhere,
    ) {}

    /**
     * @param list<MethodStep> $steps
     * @param array<int, ResolvedLine> $lines by their place in the formula; headings are passed over
     */
    public static function of(array $steps, array $lines): self
    {
        $lines = array_filter($lines, static fn(ResolvedLine $line): bool => $line->status !== LineStatus::Heading);
        if ($steps === [] || $lines === []) {
            return new self([], [], [], array_keys($lines), ToldLinks::of($steps, $lines), []);
        }
        $mentions = self::keptForLater(MethodMentions::of($steps, $lines), $lines);
        $left = array_fill_keys(array_keys($lines), 1.0);
        [$puts, $works, $elsewhere] = [[], [], []];
        $told = ToldLinks::of($steps, $lines);
        foreach ($told->at as $step => $byHand) {
            foreach ($byHand as $line) {
                $puts[$step][$line] = 1.0 / count($told->stepsOf($line));
                $left[$line] = 0.0;
            }
        }
        foreach (array_keys($steps) as $step) {
            $here = array_values(array_filter($mentions, static fn(Mention $one): bool => $one->step === $step));
            foreach (self::ofAll($steps[$step]->text, $step, $here, $mentions, $left) as $line) {
                $puts[$step][$line] = $left[$line];
                $left[$line] = 0.0;
            }
            foreach ($here as $mention) {
                foreach (self::chosen($mention, $left, $mentions) as $line) {
                    $isToTaste = !$mention->isByName && $lines[$line]->status === LineStatus::ToTaste;
                    if ($isToTaste && self::isTastedAfter($step, $steps)) {
                        // the pepper that is to taste is none of "the spices", where it is seasoned later
                        continue;
                    }
                    if ($mention->does === Mention::PUTS && $told->stepsOf($line) !== []) {
                        $elsewhere[$line] ??= $step;
                        continue;
                    }
                    if ($mention->does === Mention::TAKES_OUT && $left[$line] > 1.0 - self::NOTHING) {
                        // "remove the seeds from the chillies": what is not in comes not out, and is another's
                        continue;
                    }
                    $share = self::share($mention, $line, $left[$line], $mentions, $lines[$line]);
                    match (true) {
                        $mention->does === Mention::PUTS && $share > self::NOTHING
                            => $puts[$step][$line] = ($puts[$step][$line] ?? 0.0) + $share,
                        default => $works[$step][] = $line,
                    };
                    $left[$line] -= $mention->does === Mention::PUTS ? $share : 0.0;
                }
            }
        }
        $unnamed = [];
        foreach ($left as $line => $share) {
            if ($share > self::NOTHING) {
                $step = self::fitting($line, $lines[$line], $steps, $puts, $works, $share, $mentions);
                $puts[$step][$line] = ($puts[$step][$line] ?? 0.0) + $share;
                if ($share > 1.0 - self::NOTHING && !self::isMadeReady($line, $works)) {
                    $unnamed[] = $line;
                }
            }
        }
        $out = self::takenOut($mentions, $puts);
        foreach ($works as $step => $worked) {
            $works[$step] = array_values(array_unique(array_diff(
                $worked,
                array_keys($puts[$step] ?? []),
                $out[$step] ?? [],
            )));
        }

        ksort($puts);
        $elsewhere = array_filter(
            $elsewhere,
            static fn(int $step, int $line): bool => !in_array($step, $told->stepsOf($line), true),
            ARRAY_FILTER_USE_BOTH,
        );

        return new self($puts, array_filter($works), $out, $unnamed, $told, $elsewhere);
    }

    /**
     * "300 ml vinegar, plus 2 tbsp for the end": of a word for both, the first time means the one and the last time the
     * other.
     *
     * @param list<Mention> $mentions
     * @param array<int, ResolvedLine> $lines
     *
     * @return list<Mention>
     */
    private static function keptForLater(array $mentions, array $lines): array
    {
        $words = FactsFile::named('doing')['kept-for-later'];
        foreach ($lines as $late => $line) {
            $others = array_keys(array_filter(
                $lines,
                static fn(ResolvedLine $one): bool => $one !== $line
                    && $one->ingredient?->key === $line->ingredient?->key,
            ));
            $isKept = $line->ingredient !== null && $words->isSaidIn($line->written->preparation, 'words');
            if (!$isKept || $others === []) {
                continue;
            }
            $places = array_keys(array_filter(
                $mentions,
                static fn(Mention $one): bool => $one->does === Mention::PUTS && in_array($late, $one->lines, true),
            ));
            foreach (count($places) < 2 ? [] : $places as $nth => $at) {
                $not = $nth === count($places) - 1 ? $others : [$late];
                $mentions[$at] = $mentions[$at]->of(array_values(array_diff($mentions[$at]->lines, $not)));
            }
        }

        return array_values($mentions);
    }

    /** The step at which the first of a line goes in; null where there are no steps. */
    public function stepOf(int $line): ?int
    {
        $steps = $this->stepsOf($line);

        return $steps === [] ? null : min($steps);
    }

    /** @return list<int> the steps at which some of a line goes in */
    public function stepsOf(int $line): array
    {
        return array_keys(array_filter($this->puts, static fn(array $lines): bool => isset($lines[$line])));
    }

    /** @param list<MethodStep> $steps */
    private static function isTastedAfter(int $step, array $steps): bool
    {
        return array_filter(
            array_slice($steps, $step + 1),
            static fn(MethodStep $later): bool => FactsFile::named('doing')['tastes']->isSaidIn($later->text, 'words'),
        ) !== [];
    }

    /**
     * What is to be said of what was told by hand: where the words say another step, and names that no line has.
     *
     * @param array<int, ResolvedLine> $lines
     *
     * @return list<string>
     */
    public function notesOnTold(array $lines): array
    {
        $notes = [];
        foreach ($this->elsewhere as $line => $step) {
            $notes[] = sprintf(
                '"%s" goes in at step %s, as you set it; the words of step %d put it in there.',
                $lines[$line]->written->text,
                implode(' and ', array_map(static fn(int $one): int => $one + 1, $this->told->stepsOf($line))),
                $step + 1,
            );
        }
        foreach ($this->told->unknown as $step => $names) {
            $notes[] = sprintf('No line is called "%s", which step %d is set to take.', implode('", "', $names), $step + 1);
        }

        return $notes;
    }

    /**
     * What "everything" means at a step: all that is left, but for what it excepts and what the method adds by name
     * later.
     *
     * @param list<Mention> $here
     * @param list<Mention> $mentions
     * @param array<int, float> $left
     *
     * @return list<int>
     */
    private static function ofAll(string $text, int $step, array $here, array $mentions, array $left): array
    {
        if (!MethodMentions::isOfEverything($text)) {
            return [];
        }
        $isReady = array_filter($here, static fn(Mention $one): bool => $one->does === Mention::READIES) !== [];
        $isPut = array_filter($here, static fn(Mention $one): bool => $one->does === Mention::PUTS) !== [];
        if ($isReady && !$isPut) {
            return [];
        }
        $named = MethodMentions::exceptAt($text) === null
            ? []
            : array_merge([], ...array_map(static fn(Mention $one): array => $one->lines, $here));
        $named = [...$named, ...self::namedLater($step, $mentions)];
        foreach ($mentions as $one) {
            // "pour in the remaining oil" afterwards: so much of it was not meant
            $isLeft = $one->isRest && $one->step > $step && $one->does === Mention::PUTS;
            $named = $isLeft ? [...$named, ...$one->lines] : $named;
        }

        return array_keys(array_filter(
            $left,
            static fn(float $share, int $line): bool => $share > self::NOTHING && !in_array($line, $named, true),
            ARRAY_FILTER_USE_BOTH,
        ));
    }

    /**
     * Of several lines that a word may mean, those that are not in yet and that no step adds by their own name later,
     * where there are some.
     *
     * @param array<int, float> $left
     * @param list<Mention> $mentions
     *
     * @return list<int>
     */
    private static function chosen(Mention $mention, array $left, array $mentions): array
    {
        $open = array_filter($mention->lines, static fn(int $line): bool => $left[$line] > self::NOTHING);
        // a later word that means as many tells them no better apart
        $exact = array_filter(
            $mentions,
            static fn(Mention $one): bool => array_diff($mention->lines, $one->lines) !== [],
        );
        $later = count($open) < 2 ? [] : self::namedLater($mention->step, array_values($exact));
        if ($open !== [] && array_diff($open, $later) === []) {
            // a word for many means none that has a step of its own
            return [];
        }
        $open = array_diff($open, $later);

        return array_values($mention->does === Mention::PUTS && $open !== [] ? $open : $mention->lines);
    }

    /**
     * @param list<Mention> $mentions
     *
     * @return list<int> lines that a later step adds by their own name
     */
    private static function namedLater(int $step, array $mentions): array
    {
        $named = [];
        foreach ($mentions as $one) {
            if ($one->step > $step && $one->does === Mention::PUTS && !$one->isMore && $one->isOfAll()) {
                $named = [...$named, ...($one->isByName ? $one->lines : [])];
            }
        }

        return $named;
    }

    /** @param list<Mention> $mentions */
    private static function share(Mention $mention, int $line, float $left, array $mentions, ResolvedLine $of): float
    {
        if ($mention->isMore || $mention->does !== Mention::PUTS) {
            return 0.0;
        }
        if ($mention->grams !== null && $of->grams !== null && $of->grams->value > 0.0) {
            return min($left, $mention->grams / $of->grams->value);
        }
        if ($mention->share !== null) {
            return min($left, $mention->share);
        }
        foreach ($mentions as $later) {
            $isRest = $later->isRest && $later->step > $mention->step && $later->does === Mention::PUTS;
            if ($isRest && in_array($line, $later->lines, true) && !$mention->isRest) {
                // how much goes in first is not said
                return min($left, 0.5);
            }
        }

        return $left;
    }

    /**
     * @param list<Mention> $mentions
     * @param array<int, array<int, float>> $puts
     *
     * @return array<int, list<int>> lines that come out again, by step
     */
    private static function takenOut(array $mentions, array $puts): array
    {
        $out = [];
        foreach ($mentions as $mention) {
            foreach ($mention->does === Mention::TAKES_OUT ? $mention->lines : [] as $line) {
                foreach ($puts as $step => $lines) {
                    if ($step < $mention->step && isset($lines[$line])) {
                        $out[$mention->step][$line] = $line;
                    }
                }
            }
        }

        return array_map(array_values(...), $out);
    }

    /** @param array<int, list<int>> $works */
    private static function isMadeReady(int $line, array $works): bool
    {
        return array_filter($works, static fn(array $lines): bool => in_array($line, $lines, true)) !== [];
    }

    /**
     * Where a line goes in that no step puts in: what is cold after the last heat, salt and pepper where it is tasted,
     * what is to taste with the last things, what was begun where it was, else with the first things.
     *
     * @param list<MethodStep> $steps
     * @param array<int, array<int, float>> $puts
     * @param array<int, list<int>> $works
     * @param list<Mention> $mentions
     */
    private static function fitting(
        int $line,
        ResolvedLine $of,
        array $steps,
        array $puts,
        array $works,
        float $share,
        array $mentions,
    ): int {
        $begun = array_keys(array_filter($puts, static fn(array $lines): bool => isset($lines[$line])));
        if ($share < 1.0 - self::NOTHING && $begun !== []) {
            // "juice of half the lime", and later "more lime if you like"
            foreach ($mentions as $mention) {
                if ($mention->isMore && $mention->step > min($begun) && in_array($line, $mention->lines, true)) {
                    return $mention->step;
                }
            }

            return max($begun);
        }
        foreach ($mentions as $mention) {
            // what comes out was in
            if ($mention->does === Mention::TAKES_OUT && in_array($line, $mention->lines, true)) {
                $before = array_filter(array_keys($puts), static fn(int $step): bool => $step < $mention->step);

                return $before === [] ? 0 : max($before);
            }
        }
        $hot = array_keys(array_filter($steps, static fn(MethodStep $step): bool => $step->isAtTheHob()));
        $lastHot = $hot === [] ? -1 : max($hot);
        if (in_array(self::COLD, $of->written->tags, true)) {
            return min($lastHot + 1, count($steps) - 1);
        }
        $isSeasoning = array_intersect(self::TO_TASTE, $of->ingredient->kinds ?? []) !== [];
        if ($isSeasoning || $of->status === LineStatus::ToTaste) {
            foreach (array_reverse($steps, true) as $number => $step) {
                if (FactsFile::named('doing')['tastes']->isSaidIn($step->text, 'words')) {
                    return $number;
                }
            }
        }
        if ($of->status === LineStatus::ToTaste && $puts !== []) {
            // nobody tastes before the last thing is in
            return max(array_keys($puts));
        }
        $ready = array_keys(array_filter($works, static fn(array $lines): bool => in_array($line, $lines, true)));
        $from = $ready === [] ? self::afterWhatWorksAlone($steps, $puts) : min($ready);
        $steps = array_filter(array_keys($puts), static fn(int $step): bool => $step >= $from);

        return $steps === [] ? $from : min($steps);
    }

    /**
     * "Soak the seeds in the ale overnight", "char the peppers": who says what is soaked means nothing else; what no step
     * names goes in when things come together.
     *
     * @param list<MethodStep> $steps
     * @param array<int, array<int, float>> $puts
     */
    private static function afterWhatWorksAlone(array $steps, array $puts): int
    {
        $isAlone = static fn(MethodStep $step): bool
            => FactsFile::named('doing')['works-alone']->isSaidIn($step->text, 'words')
            && !MethodMentions::isOfEverything($step->text);
        $last = 0;
        foreach (array_intersect_key($steps, $puts) as $number => $step) {
            if (!$isAlone($step)) {
                return $number;
            }
            $last = $number;
        }
        foreach (array_slice($steps, $last, null, true) as $number => $step) {
            if (!$isAlone($step)) {
                return $step->waits() ? 0 : $number;
            }
        }

        return 0;
    }
}
