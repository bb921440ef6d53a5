<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\NameWords;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\NumberGrammar;
use Vinculum\Recipe\Parser\QuantityGrammar;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** Which lines of a formula each sentence of its method names, and what it does with them (doing.ini). */
final class MethodMentions
{
    private const DOES = [Mention::PUTS, Mention::READIES, Mention::TAKES_OUT, Mention::SPEAKS];
    /** A share or an amount is said this many words before the thing. */
    private const WORDS_BEFORE = 6;
    private const MOST_LETTERS = 20_000;
    /** Where a sentence tells to: at its beginning, behind a comma, "and", "then". */
    private const TOLD = '/(?:^|[,;:.(]\s*|\b(?:and|then|to|or|now|next|meanwhile|gently|finely|roughly|lightly|thinly|quickly|carefully|just|also|coarsely|slowly|immediately|first)\s+)$/iu';
    /** "juice the lime", not "zest and juice, then cool". */
    private const AT_A_THING = '/^\s+(?:the|a|an|your|them|it|both|half|all|each|\d)\b/iu';
    private const INTO = '/\binto\s+(?:the\s+|your\s+)?(?:\pL+ed\s+|hot\s+|warm\s+|cold\s+|cool\s+|simmering\s+|boiling\s+)?$/iu';
    private const MOST_OF = ['most' => 0.75, 'some' => 0.3, 'half' => 0.5];

    private function __construct() {}

    /**
     * @param list<MethodStep> $steps
     * @param array<int, ResolvedLine> $lines by their place in the formula
     *
     * @return list<Mention>
     */
    public static function of(array $steps, array $lines): array
    {
        $things = ThingWords::of($lines);
        [$mentions, $tied] = [[], []];
        $letters = 0;
        foreach ($steps as $number => $step) {
            // what is too long to be read is kept, and names nothing
            $letters += strlen($step->text);
            if ($letters > self::MOST_LETTERS) {
                break;
            }
            $here = self::inSentence($number, $step->text, $things->withBundle($tied), $lines);
            $tied = [...$tied, ...self::tied($step->text, $here, $lines)];
            array_push($mentions, ...$here);
        }

        return self::asThePotHas(array_map(static fn(MethodStep $step): string => $step->text, $steps), $mentions);
    }

    /**
     * What something goes into is there already, where it was named before; what soaks in a thing of the list stands in it
     * from then on, unless that is poured off.
     *
     * @param array<int, string> $texts of the steps
     * @param list<Mention> $mentions
     *
     * @return list<Mention>
     */
    private static function asThePotHas(array $texts, array $mentions): array
    {
        $doing = FactsFile::named('doing');
        [$named, $soaks] = [[], $doing['soaks']->pattern('words')];
        foreach ($mentions as $at => $mention) {
            $isThere = $mention->isInto && array_diff($mention->lines, array_keys($named)) === [];
            if ($isThere && $mention->does === Mention::PUTS) {
                $mentions[$at] = $mention->doing(Mention::SPEAKS);
            }
            $here = array_filter($mentions, static fn(Mention $one): bool => $one->step === $mention->step);
            $isSoaked = $mention->does === Mention::READIES && count($here) > 1
                && preg_match("/{$soaks}[^.;]{1,60}\\bin\\b/iu", $texts[$mention->step]) === 1
                && !$doing['poured-off']->isSaidIn(implode(' ', array_slice($texts, $mention->step)), 'words');
            if ($isSoaked) {
                $mentions[$at] = $mention->doing(Mention::PUTS);
            }
            $named += array_fill_keys($mention->lines, true);
        }

        return array_values($mentions);
    }

    /** Whether a sentence says of everything, and of which lines it does not. */
    public static function isOfEverything(string $text): bool
    {
        // "until everything is soft" puts nothing in
        $put = (string) preg_replace('/\b(?:everything|all(?: of it)?)\s+(?:is|are|has|have|looks?|comes?|turns?|starts?)\b/iu', ' ', $text);

        return FactsFile::named('doing')['everything']->isSaidIn($put, 'words');
    }

    /** Where "except" stands in a sentence; null where it does not. */
    public static function exceptAt(string $text): ?int
    {
        $row = FactsFile::named('doing')['except'];

        return preg_match("/{$row->pattern('words')}/iu", $text, $found, PREG_OFFSET_CAPTURE) === 1 ? $found[0][1] : null;
    }

    /**
     * What a sentence ties together: the spices and herbs it names.
     *
     * @param list<Mention> $here
     * @param array<int, ResolvedLine> $lines
     *
     * @return list<int>
     */
    private static function tied(string $text, array $here, array $lines): array
    {
        $bundle = FactsFile::named('doing')['bundle'];
        if (!$bundle->isSaidIn($text, 'tied')) {
            return [];
        }
        $named = array_merge([], ...array_map(static fn(Mention $one): array => $one->lines, $here));

        return array_values(array_filter($named, static fn(int $line): bool => array_intersect(
            $bundle->list('kinds'),
            $lines[$line]->ingredient->kinds ?? [],
        ) !== []));
    }

    /**
     * @param array<int, ResolvedLine> $lines
     *
     * @return list<Mention>
     */
    private static function inSentence(int $step, string $text, ThingWords $things, array $lines): array
    {
        // a mark is a word that means nothing: "garlic, salt" is no garlic salt
        preg_match_all('/[\pL\d][\pL\d\'’%]*|[,;:()]/u', $text, $found, PREG_OFFSET_CAPTURE);
        $offsets = array_column($found[0], 1);
        $words = array_map(
            static fn(string $word): string => NameWords::of($word)[0] ?? '',
            array_column($found[0], 0),
        );
        $names = Catalogue::shipped()->names();
        $except = self::isOfEverything($text) ? self::exceptAt($text) : null;
        [$named, $mentions] = [[], []];
        for ($at = 0; $at < count($words); $at += $taken) {
            [$taken, $meant, $howWell] = $words[$at] === ''
                ? [1, [], 0]
                : $things->at($words, $at, $names->isWhole(...));
            if ($meant !== []) {
                $last = $at + $taken - 1;
                $word = (string) $found[0][$last][0];
                $meant = self::notToTaste($word, $text, self::ofMany($word, $meant, $lines), $lines);
                $end = $offsets[$last] + strlen($word);
                $named[$offsets[$at]] = [$meant, $end, $taken, $howWell];
            }
        }
        $verbs = self::verbs($text, $named);
        foreach ($named as $place => [$meant, , , $howWell]) {
            // what is done is no thing: "salt the water", "oil a tin"
            if (!in_array($place, array_column($verbs, 0), true)) {
                $between = array_filter(
                    $verbs,
                    static fn(array $verb): bool => $verb[0] > $except && $verb[0] < $place,
                );
                $isExcepted = $except !== null && $place > $except && $between === [];
                $does = $isExcepted ? Mention::SPEAKS : self::does($text, $verbs, $place);
                $isByName = count($meant) === 1 || $howWell >= ThingWords::WHOLE;
                $mentions[] = self::mention($step, $meant, $isByName, $does, substr($text, 0, $place), $lines);
            }
        }

        return $mentions;
    }

    /**
     * @param list<int> $meant
     * @param 'puts'|'readies'|'takes-out'|'speaks' $does
     * @param array<int, ResolvedLine> $lines
     */
    private static function mention(
        int $step,
        array $meant,
        bool $isByName,
        string $does,
        string $before,
        array $lines,
    ): Mention {
        $words = preg_split('/\s+/u', trim($before)) ?: [];
        $near = implode(' ', array_slice($words, -self::WORDS_BEFORE));
        // only what is said of this very thing: "half the sugar", not "half the sugar and the salt"
        $near = (string) preg_replace('/^.*(?:[,;.(]|\b(?:and|with|in|into|to|or|over)\b)/iu', '', $near);
        $doing = FactsFile::named('doing');
        $last = $doing['last-of-several']->isSaidIn($near, 'words') ? self::lastOf($meant, $lines) : $meant;
        // a line of its own is no more of another, nor what is left of it
        $isOwn = count($last) < count($meant);
        $meant = $last;
        [$share, $grams] = self::amount($near, $lines[$meant[0]]);

        return new Mention(
            $step,
            $meant,
            $does,
            $share,
            $grams,
            !$isOwn && $doing['rest']->isSaidIn($near, 'words'),
            !$isOwn && $doing['more']->isSaidIn($near, 'words'),
            $isByName,
            preg_match(self::INTO, $before) === 1,
        );
    }

    /**
     * "Add the onions and pepper" means the red pepper of the list, where nothing is seasoned, and not the pepper that is
     * to taste.
     *
     * @param list<int> $meant
     * @param array<int, ResolvedLine> $lines
     *
     * @return list<int>
     */
    private static function notToTaste(string $word, string $text, array $meant, array $lines): array
    {
        $isMeasured = static fn(int $line): bool => $lines[$line]->status !== LineStatus::ToTaste;
        $doing = FactsFile::named('doing');
        $isSeasoned = $doing['tastes']->isSaidIn($text, 'words') || $doing['of-seasoning']->isSaidIn($text, 'beside');
        if ($isSeasoned || $meant === [] || array_filter($meant, $isMeasured) !== []) {
            return $meant;
        }
        $ends = ' ' . mb_strtolower($word);
        $called = array_filter(
            array_keys($lines),
            static fn(int $line): bool => $isMeasured($line)
                && in_array('fresh', $lines[$line]->ingredient->kinds ?? [], true)
                && str_ends_with(mb_strtolower($lines[$line]->written->name), $ends),
        );

        return $called !== [] ? array_values($called) : $meant;
    }

    /**
     * "Char the peppers" means what there are several of, where both are on the list, and not the pepper of "salt and
     * pepper".
     *
     * @param list<int> $meant
     * @param array<int, ResolvedLine> $lines
     *
     * @return list<int>
     */
    private static function ofMany(string $word, array $meant, array $lines): array
    {
        $plural = mb_strtolower($word);
        if (!str_ends_with($plural, 's')) {
            return $meant;
        }
        $several = array_filter(array_keys($lines), static fn(int $line): bool => str_ends_with(
            ' ' . mb_strtolower($lines[$line]->written->name),
            " {$plural}",
        ));
        $counted = array_intersect($meant, $several);

        return array_values($counted !== [] ? $counted : ($several !== [] ? $several : $meant));
    }

    /**
     * "The last tablespoon of vinegar", "the extra vinegar": of several lines of one thing, the one that comes last.
     *
     * @param list<int> $meant
     * @param array<int, ResolvedLine> $lines
     *
     * @return list<int>
     */
    private static function lastOf(array $meant, array $lines): array
    {
        $kinds = array_unique(array_map(
            static fn(int $line): ?string => $lines[$line]->ingredient?->kind(),
            $meant,
        ));

        return count($meant) > 1 && count($kinds) === 1 ? [max($meant)] : $meant;
    }

    /** @return array{float|null, float|null} a share of the line, or grams of it */
    private static function amount(string $near, ResolvedLine $line): array
    {
        foreach (self::MOST_OF as $word => $share) {
            if (preg_match("/\\b{$word}\\b(?:\\s+of)?(?:\\s+the|\\s+your)?\\s*$/iu", $near) === 1) {
                return [$share, null];
            }
        }
        if (preg_match('/\d|\b(?:third|quarter|thirds|quarters|half|fifth)\b/iu', $near) !== 1) {
            return [null, null];
        }
        $tokens = Lexer::tokens($near);
        foreach (array_keys($tokens) as $at) {
            $cursor = new Cursor(array_slice($tokens, $at));
            $amount = (new QuantityGrammar(Measures::Metric))->quantity($cursor);
            if ($amount?->unit !== null && !$amount->unit->isVague() && $amount->isSensible()) {
                $density = $line->ingredient?->portions->density;
                $millilitres = $amount->unit->millilitres;

                $ofVolume = $density === null || $millilitres === null ? null : $millilitres * $density;
                $each = $amount->unit->grams ?? $ofVolume;

                return [null, $each === null ? null : $amount->middle() * $each];
            }
            $range = NumberGrammar::range(new Cursor(array_slice($tokens, $at)));
            if ($range !== null && $range[1] > 0.0 && $range[1] < 1.0) {
                return [($range[0] + $range[1]) / 2.0, null];
            }
        }

        return [null, null];
    }

    /**
     * @param list<array{int, 'puts'|'readies'|'takes-out'|'speaks'}> $verbs
     *
     * @return 'puts'|'readies'|'takes-out'|'speaks'
     */
    private static function does(string $text, array $verbs, int $at): string
    {
        $before = array_values(array_filter($verbs, static fn(array $verb): bool => $verb[0] < $at));
        $does = $before !== [] ? end($before)[1] : ($verbs[0][1] ?? Mention::PUTS);
        if ($does === Mention::READIES) {
            foreach ($verbs as [$place, $after]) {
                $said = substr($text, $place);
                if ($place > $at && $after === Mention::PUTS && self::saysThem($said)) {
                    return Mention::PUTS;
                }
            }
        }

        return $does;
    }

    /** "slice the onions and put them in a pan" */
    private static function saysThem(string $said): bool
    {
        $row = FactsFile::named('doing')['them'];

        return preg_match("/^\\S+(?:\\s+\\S+){0,2}?\\s+{$row->pattern('words')}/iu", $said) === 1;
    }

    /**
     * @param array<int, array{list<int>, int, int}> $named things by their place, with where they end and how many words
     *     they take
     *
     * @return list<array{int, 'puts'|'readies'|'takes-out'|'speaks'}> each with its place, in order
     */
    private static function verbs(string $text, array $named): array
    {
        $doubtful = FactsFile::named('doing')['also-things'];
        $mostly = FactsFile::named('doing')['mostly-things']->list('words');
        $verbs = [];
        foreach (self::DOES as $does) {
            $pattern = self::pattern($does);
            preg_match_all($pattern, $text, $found, PREG_OFFSET_CAPTURE);
            foreach ($found[0] as [$word, $place]) {
                foreach ($named as $from => [, $to, $words]) {
                    // "fish sauce" and "lime juice" are things, whatever their words do elsewhere
                    if ($words > 1 && $place >= $from && $place < $to) {
                        continue 2;
                    }
                }
                $isThing = in_array(mb_strtolower($word), $doubtful->list('words'), true);
                if (!$isThing && in_array((string) preg_replace('/s$/u', '', mb_strtolower($word)), $mostly, true)) {
                    // nobody is told to "seeds" anything
                    continue;
                }
                $after = substr($text, $place + strlen($word));
                $isTold = preg_match(self::TOLD, substr($text, 0, $place)) === 1
                    && (!in_array(mb_strtolower($word), $mostly, true) || preg_match(self::AT_A_THING, $after) === 1);
                // "fish out the star anise and peel.": nothing is done to nothing
                $isOfNothing = isset($named[$place]) && preg_match('/^\W*$/u', $after) === 1;
                if (!$isThing || $isTold && !$isOfNothing) {
                    $verbs[$place] ??= [$place, $does];
                }
            }
        }
        ksort($verbs);

        return array_values($verbs);
    }

    private static function pattern(string $does): string
    {
        /** @var array<string, string> $known */
        static $known = [];
        if (!isset($known[$does])) {
            $words = FactsFile::named('doing')[$does]->list('words');
            usort($words, static fn(string $one, string $other): int => strlen($other) <=> strlen($one));
            // what was chopped is not chopped again: "tip in the chopped vegetables"
            $past = $does === Mention::READIES ? '' : '|ed';
            $known[$does] = '/\b(?:' . implode('|', array_map(static function (string $word) use ($past): string {
                // "fry" fries, "bake" baking, "chop" chopped
                $stem = preg_quote($word, '/');

                return match (true) {
                    str_contains($word, ' ') => $stem,
                    str_ends_with($word, 'y') => substr($stem, 0, -1)
                        . '(?:y|ies|ying' . ($past === '' ? '' : '|ied') . ')',
                    str_ends_with($word, 'e') => "{$stem}(?:s" . ($past === '' ? '' : '|d') . ')?|' . substr($stem, 0, -1) . 'ing',
                    default => "{$stem}(?:s|es|ing{$past})?|{$stem}" . preg_quote(mb_substr($word, -1), '/') . "(?:ing{$past})",
                };
            }, $words)) . ')(?![\pL\d])/iu';
        }

        return $known[$does];
    }
}
