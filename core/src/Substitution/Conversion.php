<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Balance\Formula;
use Vinculum\Kitchen\Sauce;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Writing\AmountWriter;
use Vinculum\Recipe\Writing\UnweighedAmount;
use Vinculum\Sensory\Axis;

/** A whole recipe made fit for someone: every line that is in the way replaced at once. */
final readonly class Conversion
{
    /**
     * @param list<Swap> $swaps in the order of the lines
     * @param array<int, string> $stuck why nothing does, by line from 0
     * @param array<value-of<Axis>, float> $changeSteps of the whole sauce, by axis
     * @param list<string> $notes what to ask about before somebody eats it
     */
    private function __construct(
        public array $swaps,
        public array $stuck,
        public Sauce $before,
        public Sauce $after,
        public array $changeSteps,
        public float $residual,
        public array $notes,
    ) {}

    /**
     * Lines after which a recipe is not converted at once: every line that is in the way is a search over all of them.
     */
    public const MOST_LINES = 60;

    /**
     * Each line is replaced in the sauce as the swaps before it have left it, so that later ones make up for earlier
     * ones.
     *
     * @param non-empty-list<SwapReason> $reasons one after the other
     *
     * @throws SwapFault where it is too long
     */
    public static function of(Sauce $sauce, array $reasons): self
    {
        $formula = $sauce->formula;
        if (count($formula->ingredientLines()) > self::MOST_LINES) {
            throw SwapFault::tooLong(count($formula->ingredientLines()), self::MOST_LINES);
        }
        [$swaps, $stuck, $after, $settled] = [[], [], $sauce, []];
        foreach ($reasons as $reason) {
            $whole = self::burden($after->formula, $reason);
            foreach (array_keys($after->formula->lines) as $number) {
                $line = $after->formula->lines[$number];
                $ingredient = $line->ingredient;
                if ($ingredient === null && $line->status === LineStatus::Unknown && $reason->isOfDiet()) {
                    $stuck[$number] = 'Nobody knows what it is, so nobody knows whether it fits: write it more plainly.';
                }
                if ($ingredient === null || !$reason->isAgainst($ingredient, $line->grams->value ?? 0.0, $whole)) {
                    continue;
                }
                $search = new SwapSearch($after, $number, $reason, $settled, eaten: $formula);
                $swap = $search->substitutes()[0] ?? null;
                if ($swap !== null && $swaps !== []) {
                    // what is taken is chosen by itself; how much of it, by what the first swaps have left of the taste
                    $meant = new SwapSearch($after, $number, $reason, $settled, $sauce->balance()->mixture, $formula);
                    $swap = $meant->with($swap->ingredient) ?? $swap;
                }
                if ($swap === null) {
                    $stuck[$number] = sprintf(
                        'Nothing that is known does the work of %s and is %s: leave it out, or find one that fits.',
                        mb_strtolower($ingredient->name),
                        $reason->wish(),
                    );
                    continue;
                }
                $swaps[] = $swap;
                $had = count($after->formula->lines);
                $after = $after->having($swap->applied($after->formula));
                // what one swap has put right no other one moves again: halved twice a line is a quarter
                $settled = [
                    ...$settled,
                    $number,
                    ...array_filter(
                        array_map(static fn(SwapAddition $one): ?int => $one->line, $swap->compensations),
                        is_int(...),
                    ),
                    ...range($had, max($had, count($after->formula->lines) - 1)),
                ];
            }
        }
        [$was, $is] = [$sauce->balance()->taste, $after->balance()->taste];

        return new self(
            $swaps,
            $stuck,
            $sauce,
            $after,
            $was->stepsTo($is),
            $was->stepsApart($is),
            self::nearRelatives($after->formula, $reasons),
        );
    }

    /**
     * What stays in it, or came into it, that someone who cannot eat the one often cannot eat either.
     *
     * @param list<SwapReason> $reasons
     *
     * @return list<string>
     */
    private static function nearRelatives(Formula $formula, array $reasons): array
    {
        $notes = [];
        foreach ($formula->lines as $line) {
            foreach ($line->ingredient === null ? [] : $reasons as $reason) {
                $of = $line->ingredient === null ? [] : $reason->nearOf($line->ingredient);
                if ($of !== []) {
                    $text = mb_strimwidth(trim($line->text()), 0, 40, '…');
                    $notes[] = sprintf(
                        '%s%s is a near relative of %s, and often not borne either: ask first, or leave it out.',
                        // what a swap brought in stands in no line yet
                        $text === '' ? '' : "\"{$text}\": ",
                        $text === '' ? (string) $line->ingredient?->name : mb_strtolower((string) $line->ingredient?->name),
                        implode(' and ', $of),
                    );
                }
            }
        }

        return array_values(array_unique($notes));
    }

    private static function burden(Formula $formula, SwapReason $reason): float
    {
        $whole = 0.0;
        foreach ($formula->lines as $line) {
            if ($line->ingredient !== null && $line->countsInTheMixture()) {
                $whole += $reason->burden($line->ingredient, $line->grams->value ?? 0.0);
            }
        }

        return $whole;
    }

    /** @return list<RecipeLine> the recipe as it reads with every swap made */
    public function written(): array
    {
        [$formula, $texts] = [$this->before->formula, []];
        foreach ($this->swaps as $swap) {
            [$edits, $added] = $swap->written($formula, $this->before->measures(), $this->before->kitchen->hasScale);
            $texts = array_replace($texts, $edits);
            // a swap puts its new lines last, as applied() does, so that the next one counts them alike
            foreach ($added as $at => $text) {
                $texts[count($formula->lines) + $at] = $text;
            }
            $formula = $swap->applied($formula);
        }
        $texts = $this->together($texts, $formula);
        $isOld = fn(int $line): bool => isset($this->before->formula->lines[$line]);
        $old = array_filter($texts, $isOld, ARRAY_FILTER_USE_KEY);

        return $this->before->formula->rewritten($old, array_values(array_filter(array_diff_key($texts, $old))));
    }

    /**
     * What several swaps put in of one thing stands in one line, that of the recipe where it has one: no salt twice.
     *
     * @param array<int, string> $texts by line
     *
     * @return array<int, string>
     */
    private function together(array $texts, Formula $formula): array
    {
        $of = [];
        foreach (range(count($this->before->formula->lines), count($formula->lines)) as $number) {
            $key = ($formula->lines[$number] ?? null)?->ingredient?->key;
            $of[$key ?? ''][] = $number;
        }
        unset($of['']);
        foreach ($of as $key => $numbers) {
            $ingredient = $formula->lines[$numbers[0]]->ingredient;
            $gramsOf = static fn(int $number): float => $formula->lines[$number]->grams->value ?? 0.0;
            $grams = array_sum(array_map($gramsOf, $numbers));
            $own = $this->ownLineOf($key);
            if ($own !== null) {
                $stands = $this->before->formula->lines[$own];
                $texts = array_diff_key($texts, array_flip($numbers));
                $texts[$own] = $this->before->kitchen->hasScale
                    ? AmountWriter::inGrams($stands, $grams + $gramsOf($own), $this->before->measures())
                    : UnweighedAmount::inGrams($stands, $grams + $gramsOf($own), $this->before->measures());
            } elseif (count($numbers) > 1 && $ingredient !== null) {
                $measure = $ingredient->portions->measure($grams, $this->before->spoons());
                $texts = array_diff_key($texts, array_flip(array_slice($numbers, 1)));
                $texts[$numbers[0]] = $measure->of($ingredient->name);
            }
        }

        return $texts;
    }

    /** The line of the recipe that measures a thing alone, where no swap takes its place and nothing holds it fast. */
    private function ownLineOf(string $key): ?int
    {
        $swapped = array_map(static fn(Swap $swap): int => $swap->line, $this->swaps);
        foreach ($this->before->formula->lines as $number => $line) {
            if (
                $line->ingredient?->key === $key && ($line->grams->value ?? 0.0) > 0.0 && $line->text() !== ''
                && !in_array($number, $swapped, true) && !in_array('lock', $line->written->tags, true)
            ) {
                return $number;
            }
        }

        return null;
    }
}
