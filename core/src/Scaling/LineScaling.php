<?php

declare(strict_types=1);

namespace Vinculum\Scaling;

use Vinculum\Balance\FinishedBatch;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;
use Vinculum\Ingredient\NameWords;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\KitchenNumber;
use Vinculum\Quantity\Measure;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Recipe\Parser\Counts;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Writing\AmountWriter;
use Vinculum\Recipe\Writing\UnweighedAmount;
use Vinculum\Sensory\TasteLoad;

/** Every line of a recipe at another size, in what can be measured; what is too small gets a mix to measure it in. */
final class LineScaling
{
    /** A measurable amount this far from what was asked is no measure of it. */
    private const TOO_COARSE = 0.34;
    /** A spoon that misses by more than this share gives way to the scale, where that is twice as near. */
    private const WORTH_WEIGHING = 0.04;
    /** Steps of the whole sauce that a rounding may make without a word. */
    private const FELT = 0.25;
    /** Grams under which a kitchen scale says little. */
    private const WEIGHED_FROM = 5.0;
    /** So much of what nobody cuts in two is taken whole. */
    private const NEARLY_ONE = 0.7;
    /** What is so near needs no other choice. */
    private const EXACT = 0.002;
    /** Parts of carrier to one part of what is too small to measure. */
    private const DILUTIONS = [9.0, 19.0, 49.0, 99.0, 499.0, 999.0];
    private const LEAST_OF_A_MIX = 2.0;

    /** @return list<ScaledLine> */
    public static function all(
        Sauce $sauce,
        Formula $full,
        Formula $exact,
        float $factor,
    ): array {
        [$formula, $measures] = [$sauce->formula, $sauce->measures()];
        $spoons = $sauce->spoons();
        [$fixed, $counted, $loads, $grams, $choices] = [Mixture::nothing(), [], [], [], []];
        foreach ($exact->lines as $number => $line) {
            $amount = $line->grams->value ?? 0.0;
            if ($amount <= 0.0) {
                continue;
            }
            $pair = self::measurable($line, $formula->lines[$number], $amount, $spoons);
            if ($pair === null) {
                $fixed = $fixed->plus($line->mixture());
                continue;
            }
            $counted[] = $number;
            $loads[] = TasteLoad::of($line->hundredGrams->times(0.01));
            $grams[] = $amount;
            $choices[] = $pair;
        }
        $lost = $exact->mixed()->get(Component::Water) - FinishedBatch::of($exact)->mixture->get(Component::Water);
        $rest = TasteLoad::of($fixed)->plus(TasteLoad::of(Mixture::of([Component::Water->value => 1.0])), -$lost);
        $rounded = Rounding::choose($rest, $loads, $grams, $choices, $sauce->aim->target());
        $chosen = array_combine($counted, $rounded);
        $felt = array_combine($counted, Rounding::steps($rest, $loads, $grams, $rounded));

        return array_map(
            static fn(ResolvedLine $line, int $number): ScaledLine => self::heldBack(
                self::felt(
                    self::line(
                        $formula,
                        $number,
                        $line,
                        $chosen[$number] ?? null,
                        $spoons,
                        $measures,
                        $factor,
                    ),
                    $felt[$number] ?? 0.0,
                ),
                $full->lines[$number]->grams->value ?? 0.0,
            ),
            $exact->lines,
            array_keys($exact->lines),
        );
    }

    /**
     * @return array{float, float}|null the measurable amounts below and above; null where tools are too coarse for it
     */
    private static function measurable(ResolvedLine $line, ResolvedLine $written, float $grams, Spoons $spoons): ?array
    {
        $density = $line->ingredient?->portions->density;
        $each = self::each($line, $written);
        if ($each !== null && self::isEntire($written) && $grams > self::NEARLY_ONE * $each) {
            $count = max(1.0, floor($grams / $each + 1e-9));

            return $grams < $each || self::off($grams, $count * $each, $count * $each) < self::EXACT
                ? [$count * $each, $count * $each]
                : [$count * $each, ($count + 1.0) * $each];
        }
        [$below, $above] = $spoons->neighbours($grams, $density, $each);
        if (self::isWeighed($written, $grams)) {
            [$below, $above] = $spoons->weighed($grams);
        } elseif (self::isTooCoarse($grams, $below, $above)) {
            // what cannot be counted or spooned may still be weighed
            [$below, $above] = $spoons->onScale($grams);
        } elseif (
            self::each($line, $written) === null
            && self::off($grams, $below, $above) > self::WORTH_WEIGHING
            && self::off($grams, ...$spoons->onScale($grams)) < self::off($grams, $below, $above) / 2.0
        ) {
            [$below, $above] = $spoons->onScale($grams);
        }

        if (self::isTooCoarse($grams, $below, $above)) {
            return null;
        }
        $near = array_values(array_filter(
            [$below, $above],
            static fn(float $one): bool => $one > 0.0 && abs($one / $grams - 1.0) <= self::WORTH_WEIGHING,
        ));
        $isExact = self::off($grams, $below, $above) < self::EXACT;
        $nearest = $below > 0.0 && $grams - $below < $above - $grams ? $below : $above;

        return match (true) {
            $isExact || count($near) === 1 => [$nearest, $nearest],
            $below <= 0.0 => [$above, $above],
            default => [$below, $above],
        };
    }

    /** Whether it is counted in what nobody cuts in two: "2 star anise", "3 bay leaves". */
    private static function isEntire(ResolvedLine $written): bool
    {
        $counted = $written->written->measured->counted ?? '';
        $words = $counted === 'whole' ? NameWords::of($written->text()) : [$counted];

        return array_filter($words, Counts::isEntire(...)) !== [];
    }

    /** What no tool of the kitchen holds, and a tongue would tell, says how far the nearest is off. */
    private static function felt(ScaledLine $line, float $steps): ScaledLine
    {
        $off = $line->errorPercent ?? 0.0;
        if ($steps <= self::FELT || abs($off) <= 100.0 * self::WORTH_WEIGHING || $line->note !== null) {
            return $line;
        }

        return new ScaledLine(
            $line->line,
            $line->grams,
            $line->exactGrams,
            $line->measure,
            $off,
            sprintf(
                'The nearest that can be measured is %d %% %s, which a tongue may tell: %s asked. Weigh it, or taste.',
                (int) round(abs($off)),
                $off > 0.0 ? 'more' : 'less',
                KitchenNumber::grams($line->exactGrams ?? 0.0),
            ),
        );
    }

    /** Whether it is weighed again, as it was written. */
    private static function isWeighed(ResolvedLine $written, float $grams): bool
    {
        return $written->written->measured?->unit?->grams !== null && $grams >= self::WEIGHED_FROM;
    }

    /** The share of a strong thing that goes in at first; 1 for the rest. */
    public static function held(ResolvedLine $line): float
    {
        $strong = Facts::of(HoldBackFacts::class);
        $isStrong = $line->ingredient !== null
            && (
                in_array($line->ingredient->kind(), $strong->of, true)
                || in_array($line->ingredient->roles[0] ?? '', $strong->roles, true)
            );

        return $isStrong ? $strong->share : 1.0;
    }

    /** A line that was held back says how much it may become. */
    private static function heldBack(ScaledLine $line, float $full): ScaledLine
    {
        if ($line->exactGrams === null || $line->grams === null || $full - $line->exactGrams < 1e-9) {
            return $line;
        }
        $note = sprintf('Held back: taste, then add up to %s in all.', KitchenNumber::grams($full));

        return new ScaledLine(
            $line->line,
            $line->grams,
            $full,
            $line->measure,
            100.0 * ($line->grams / $full - 1.0),
            $line->note === null ? $note : "{$line->note} {$note}",
        );
    }

    private static function isTooCoarse(float $grams, float $below, float $above): bool
    {
        return self::off($grams, $below, $above) > self::TOO_COARSE;
    }

    /** How far the nearer of two measurable amounts is off, as a share. */
    private static function off(float $grams, float $below, float $above): float
    {
        $nearest = $below > 0.0 && $grams - $below < $above - $grams ? $below : $above;

        return abs($nearest / $grams - 1.0);
    }

    /** Grams of one, where the line counts things; what was weighed is weighed again. */
    private static function each(ResolvedLine $line, ResolvedLine $written): ?float
    {
        if ($written->written->measured?->unit?->grams !== null) {
            return null;
        }
        $count = $written->written->measured?->unit === null ? $written->written->measured?->middle() : null;

        return $count !== null && $count > 0.0 && ($written->grams->value ?? 0.0) > 0.0
            ? ($written->grams->value ?? 0.0) / $count
            : $line->ingredient?->portions->eachGrams();
    }

    private static function line(
        Formula $formula,
        int $number,
        ResolvedLine $exact,
        ?float $chosen,
        Spoons $spoons,
        Measures $measures,
        float $factor,
    ): ScaledLine {
        $written = $formula->lines[$number];
        $asked = $exact->grams?->value;
        if ($asked === null || $asked <= 0.0) {
            return self::unread($written, $factor, $measures);
        }
        [$density, $each] = [$exact->ingredient?->portions->density, self::each($exact, $written)];
        if ($chosen === null) {
            [$below, $above] = $spoons->neighbours($asked, $density, $each);
            $nearest = $below > 0.0 ? $below : $above;

            return new ScaledLine(
                $written,
                $asked,
                $asked,
                null,
                100.0 * ($nearest / $asked - 1.0),
                self::wayOut($formula, $number, $exact, $asked, $spoons->measure($nearest, $density, $each)->words()),
            );
        }
        $isWhole = $each !== null && abs(4.0 * $chosen / $each - round(4.0 * $chosen / $each)) < 0.02;
        $measure = self::isWeighed($written, $asked)
            ? Measure::weighed($chosen)
            : $spoons->measure($chosen, $density, $isWhole ? $each : null);

        return new ScaledLine(
            $written,
            $chosen,
            $asked,
            match (true) {
                $measure->isCounted() && !$spoons->hasScale => self::counted($written, $measure),
                $measure->isCounted() => self::counted($written, $measure) . ', about ' . KitchenNumber::grams($chosen),
                !$spoons->hasScale && UnweighedAmount::isWeight($measure->words())
                    => UnweighedAmount::words($exact, $chosen, $measures),
                default => $measure->words(),
            },
            100.0 * ($chosen / $asked - 1.0),
            null,
        );
    }

    /** What nobody understood has its number scaled, and says so. */
    private static function unread(ResolvedLine $written, float $factor, Measures $measures): ScaledLine
    {
        $text = $written->status === LineStatus::Unknown
            ? AmountWriter::times($written, $factor, $measures)
            : $written->written->text;
        $isScaled = $text !== $written->written->text;

        return new ScaledLine(
            $written,
            null,
            null,
            null,
            null,
            match (true) {
                $written->status === LineStatus::Heading => null,
                $isScaled => "Not understood, so only its number is scaled: \"{$text}\".",
                default => $written->note ?? 'No amount, so nothing is scaled.',
            },
            $isScaled ? $text : null,
        );
    }

    /** "4½ cloves", "5", or, of what comes out of a fruit, "juice of 1½ limes". */
    private static function counted(ResolvedLine $written, Measure $measure): string
    {
        $number = $measure->beforeItsName();
        $counted = $written->written->measured?->counted;
        $part = $written->ingredient?->partOfFruit();
        if ($part !== null && ($counted === null || $counted === 'whole')) {
            return sprintf('%s of %s %s', $part['part'], $number, Counts::plural($part['fruit'], $measure->count));
        }

        $name = mb_strtolower($written->ingredient->name ?? '');
        $isInItsName = $counted !== null && str_starts_with($name, "{$counted} ");

        return $counted === null || $counted === 'whole' || $isInItsName
            ? $number
            : $number . ' ' . Counts::plural($counted, $measure->count);
    }

    /** How to measure what is too small: in a mix with something that goes in anyway. */
    private static function wayOut(
        Formula $formula,
        int $number,
        ResolvedLine $line,
        float $grams,
        string $nearest,
    ): string {
        $carrier = self::carrier($formula, $number);
        $name = mb_strtolower($line->ingredient->name ?? $line->text());
        foreach (self::DILUTIONS as $parts) {
            $portion = $grams * (1.0 + $parts);
            if ($portion >= self::LEAST_OF_A_MIX) {
                return sprintf(
                    'Too small to measure (%s; the nearest is %s): mix 1 g of %s with %s of %s and use %s of the mix.',
                    KitchenNumber::grams($grams),
                    $nearest,
                    $name,
                    KitchenNumber::grams($parts),
                    $carrier,
                    KitchenNumber::grams(round($portion, 1)),
                );
            }
        }

        return sprintf(
            'Too small to measure (%s): a trace on the tip of a knife, or leave it out.',
            KitchenNumber::grams($grams),
        );
    }

    /** What goes in anyway and can carry a trace: the largest fine or liquid line. */
    private static function carrier(Formula $formula, int $number): string
    {
        [$best, $most] = ['white sugar', 0.0];
        foreach ($formula->lines as $at => $line) {
            $role = $line->ingredient->roles[0] ?? '';
            if (
                $at !== $number
                && $line->ingredient !== null
                && in_array($role, ['sweetener', 'salt', 'water', 'acid'], true)
                && ($line->grams->value ?? 0.0) > $most
            ) {
                [$best, $most] = [mb_strtolower($line->ingredient->name), $line->grams->value ?? 0.0];
            }
        }

        return $best;
    }
}
