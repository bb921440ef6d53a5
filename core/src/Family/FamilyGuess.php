<?php

declare(strict_types=1);

namespace Vinculum\Family;

use Vinculum\Balance\Balance;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;
use Vinculum\Recipe\Resolution\ResolvedLine;

/**
 * Which family a sauce looks like: what its title says, and how likely what it holds and where it stands are in each
 * family. Both add to the logarithm of a likelihood; all of them come to one.
 */
final readonly class FamilyGuess
{
    /** A word of the title is worth so much, and so much more for each further word of a phrase. */
    private const TITLE = 4.0;
    private const LONGER = 1.5;
    /** How much likelier a sauce is of none than what it holds and where it stands would say. Fitted on inventions of our own. */
    private const NONE = 5.0;
    /** Of what a title speaks for a family, so much speaks against none. */
    private const NAMED = 0.5;
    /** What a title that names another family takes from one, of what it gives that. */
    private const CALLED_OTHERWISE = 0.5;
    /** So far behind, in logarithms, it is nothing of the whole. */
    private const HOPELESS = 9.0;
    private const LEAST = 0.02;
    private const SURE = 0.7;
    private const MOST = 5;
    /** As likely as that it is compared with, and corrected to. */
    private const PRESUMED = 0.7;
    /** Fewer things may yet become anything. */
    private const LEAST_THINGS = 3;

    /** Less likely than that, or after so many, it is not worth a cook's look. */
    private const OFFERED = 0.2;
    private const MOST_OFFERED = 2;

    private function __construct(public string $style, public float $likelihood) {}

    /**
     * The likeliest first; none where nothing is in it. What is left to one is how likely it is of none of them.
     *
     * @return list<self>
     */
    public static function for(Balance $balance, ?string $title): array
    {
        $makeup = Makeup::of($balance);
        if ($makeup->things() === []) {
            return [];
        }
        $scores = FamilyLikelihood::of($makeup, $balance->taste);
        $scores[FamilyLikelihood::NONE] += self::NONE;
        $title ??= '';
        [$named, $titled] = [0.0, []];
        foreach ($title === '' ? [] : FactsFile::named('styles') as $style => $row) {
            if ($row->isSaidIn($title, 'titled')) {
                $scores[$style] += $ofTitle = self::ofTitle($row->list('titled'), $title);
                $named = max($named, $ofTitle);
                $titled[] = $style;
            }
        }
        // who calls it something does not call it nothing, and hardly something else
        $scores[FamilyLikelihood::NONE] -= self::NAMED * $named;
        foreach ($named > 0.0 ? array_diff(array_keys($scores), $titled) : [] as $style) {
            $scores[$style] -= $style === FamilyLikelihood::NONE ? 0.0 : self::CALLED_OTHERWISE * $named;
        }
        $scores = self::heard($scores, FamilyObjections::to($balance, $makeup, $title));
        $top = max($scores);
        $weights = array_map(static fn(float $score): float => exp($score - $top), $scores);
        $sum = array_sum($weights);
        unset($weights[FamilyLikelihood::NONE]);
        $found = [];
        foreach ($weights as $style => $weight) {
            if ($weight / $sum >= self::LEAST && count($found) < self::MOST) {
                $found[] = new self($style, $weight / $sum);
            }
        }

        return $found;
    }

    /**
     * What remains when what speaks against them is heard, the likeliest first: objections only take away, so whoever
     * stands far behind need not be asked.
     *
     * @param array<string, float> $scores
     *
     * @return non-empty-array<string, float>
     */
    private static function heard(array $scores, FamilyObjections $objections): array
    {
        arsort($scores);
        $styles = FactsFile::named('styles');
        $heard = [];
        $top = $scores[FamilyLikelihood::NONE];
        foreach ($scores as $style => $score) {
            if ($score < $top - self::HOPELESS) {
                break;
            }
            $heard[$style] = $score - (isset($styles[$style]) ? $objections->against($styles[$style]) : 0.0);
            $top = max($top, $heard[$style]);
        }
        arsort($heard);

        return $heard === [] ? [FamilyLikelihood::NONE => 0.0] : $heard;
    }

    /**
     * Those that a cook is asked about.
     *
     * @param list<self> $guesses
     *
     * @return list<string>
     */
    public static function offered(array $guesses): array
    {
        $likely = array_filter($guesses, static fn(self $one): bool => $one->likelihood >= self::OFFERED);
        $styles = array_map(static fn(self $one): string => $one->style, array_values($likely));

        return array_slice($styles, 0, self::MOST_OFFERED);
    }

    /** The family that a sauce with a name surely belongs to; null where another comes near, or it has no name. */
    public static function sure(Balance $balance, string $title): ?string
    {
        $best = self::for($balance, $title)[0] ?? null;
        if ($best === null || $best->likelihood < self::SURE) {
            return null;
        }

        return self::ofTitle(FamilyBook::get($best->style)->titled, $title) > 0.0 ? $best->style : null;
    }

    /**
     * The family to compare a sauce with until the cook says what it is; null where none is likelier than all others
     * together.
     *
     * @param list<self> $guesses the likeliest first
     */
    public static function presumed(Balance $balance, array $guesses): ?string
    {
        $things = array_filter(
            $balance->formula->lines,
            static fn(ResolvedLine $line): bool => $line->countsInTheMixture(),
        );
        $best = $guesses[0] ?? null;

        return $best !== null && $best->likelihood >= self::PRESUMED && count($things) >= self::LEAST_THINGS
            ? $best->style
            : null;
    }

    /** @param list<string> $titled words of a title that name a family */
    private static function ofTitle(array $titled, string $title): float
    {
        $best = 0.0;
        foreach ($titled as $words) {
            if (Words::areIn($title, [$words])) {
                // the last word of a title names the thing: a chutney of ketchup is a chutney
                $isLast = preg_match('/' . Words::pattern([$words]) . '\W*(?:\bsauce\W*)?$/iu', $title) === 1;
                $best = max($best, self::TITLE + self::LONGER * (substr_count($words, ' ') + ($isLast ? 1 : 0)));
            }
        }

        return $best;
    }
}
