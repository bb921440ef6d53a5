<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Ingredient\NameMatch;
use Vinculum\Ingredient\NameSearch;
use Vinculum\Ingredient\NameWords;
use Vinculum\Recipe\Parser\Item;
use Vinculum\Recipe\Parser\Names;
use Vinculum\Recipe\Parser\Token;
use Vinculum\Recipe\Parser\Vocabulary;

/** Which ingredient a line names, and how surely: what it calls the thing, and every other way to read that. */
final readonly class NameReading implements Names
{
    /** Names whose scores lie no further apart fit alike. */
    private const TIED = 0.005;

    public function __construct(private Catalogue $catalogue) {}

    /** @param list<Token> $tokens */
    public function longestAt(array $tokens, int $at): int
    {
        $names = $this->catalogue->names();
        [$said, $longest] = ['', 0];
        for ($next = $at; $next < count($tokens); ++$next) {
            $words = NameWords::of($tokens[$next]->text);
            if ($words === [] && !$tokens[$next]->isMark('-')) {
                break;
            }
            $said .= ($said === '' || $words === ['%'] ? '' : ' ') . implode(' ', $words);
            if (!$names->begins($said) && ($tokens[$next + 1] ?? null)?->isMark('%') !== true) {
                break;
            }
            if ($names->isWhole($said)) {
                $longest = $next + 1 - $at;
            }
        }

        return $longest;
    }

    public function knows(Item $item): bool
    {
        return $this->understood($item, $this->match($item)) !== null;
    }

    public function keyOf(string $text): ?string
    {
        $match = $this->catalogue->names()->find($text, 1)[0] ?? null;

        return $match?->isExact === true ? $match->key : null;
    }

    public function inFull(string $text): ?string
    {
        $key = $this->keyOf($text);

        return $key === null ? null : $this->catalogue->get($key)->name;
    }

    /** @return list<NameMatch> */
    public function match(Item $line): array
    {
        return $this->plainer($line, $this->matched($line));
    }

    /** @return list<NameMatch> */
    private function matched(Item $line): array
    {
        $names = $this->catalogue->names();
        $plain = $line->name;
        if ($line->part !== null) {
            $matches = $names->find("{$plain} {$line->part}");
            if (($matches[0]->score ?? 0.0) >= 0.9) {
                return $matches;
            }
        }
        $matches = $names->find($plain);
        $best = $matches[0]->score ?? 0.0;
        $others = $this->otherReadings($line);
        foreach ($best > 0.95 ? $others : [...$others, ...self::unpacked($line->name)] as $reading) {
            $dropped = self::dropped($line->name, $reading);
            $found = array_map(
                static fn(NameMatch $match): NameMatch => $match->missing($dropped),
                $names->find($reading),
            );
            $score = $found[0]->score ?? 0.0;
            if ($best > 0.95 && $line->alternatives !== [] && self::isOfItsOwn($reading)) {
                // "prawns or chicken stock": prawns, or the stock of them
                $found = array_map(static fn(NameMatch $one): NameMatch => $one->takenFor($one->key, false), $found);
            }
            $isOther = $score > 0.95 && $found[0]->isExact && $found[0]->key !== ($matches[0]->key ?? null);
            if ($isOther && $matches !== [] && self::mayTellMore($reading, $line->name)) {
                $matches[0] = $matches[0]->takenFor($matches[0]->key, false);
            }
            // a name that is ours to the word, with more said than the bare one, is the more particular thing
            if ($score > $best + 0.02 || ($score > 0.95 && self::tellsMore($reading, $line->name, $isOther))) {
                $best = $score;
                $matches = $found;
            }
        }

        return $this->unlessPouredInstead($line, $this->unlessGround($line, $this->unlessVegetable($line, $matches)));
    }

    /**
     * The same where nothing is understood: without words that change nothing of some thing or other, if they change
     * nothing of what is then found.
     *
     * @param list<NameMatch> $matches
     *
     * @return list<NameMatch>
     */
    private function plainer(Item $line, array $matches): array
    {
        $words = NameWords::of($line->name);
        $plain = Qualities::withoutAny($words);
        if ($plain === [] || count($plain) === count($words) || $this->understood($line, $matches) !== null) {
            return $matches;
        }
        $dropped = array_values(array_diff($words, $plain));
        $found = array_values(array_filter(
            $this->catalogue->names()->find(implode(' ', $plain)),
            fn(NameMatch $match): bool => Qualities::without($dropped, $this->catalogue->get($match->key)) === [],
        ));

        return $this->understood($line, $found) === null ? $matches : $found;
    }

    /**
     * The best match that leaves no telling word of the name unsaid: "almond milk" is no milk. What only says which
     * kind of a thing it is may stay unsaid: the "peppers" of a pod, the "leaves" of a herb.
     *
     * @param list<NameMatch> $matches
     */
    public function understood(Item $line, array $matches): ?NameMatch
    {
        if (FactsFile::named('words')['others']->isSaidIn($line->name, 'words')) {
            return null;
        }
        foreach ($matches as $match) {
            if ($match->score < NameSearch::ACCEPTED) {
                break;
            }
            $passable = $this->passable($match->key);
            $open = Qualities::without(NameWords::of($line->name), $this->catalogue->get($match->key));
            $qualities = array_diff(NameWords::of($line->name), $open);
            $missed = array_diff($match->missed, $passable, $qualities);
            if ($match->beyond !== [] || self::isTheOtherPart($line->part, "{$match->alias}, {$this->catalogue->get($match->key)->name}")) {
                continue;
            }
            if ($missed === [] || $this->areBrands($missed, $line)) {
                return $match;
            }
        }

        return null;
    }

    /** The zest of a fruit is not its juice, whatever else is known of that fruit. */
    private static function isTheOtherPart(?string $part, string $names): bool
    {
        return match ($part) {
            'zest' => preg_match('/\bjuice\b/iu', $names) === 1,
            'juice' => preg_match('/\bzest\b/iu', $names) === 1,
            default => false,
        };
    }

    /** Whether the name was ours to the word, and means this before anything else. */
    public function sureness(Item $line, NameMatch $match): Sureness
    {
        [$asked, $alias] = [NameWords::of($line->name), NameWords::of($match->alias)];
        $nothing = FactsFile::named('words')['says-nothing']->list('words');
        $telling = Qualities::without($asked, $this->catalogue->get($match->key), $alias);
        $isCovered = array_diff($telling, $alias, $nothing) === [];
        // "mint, leaves picked" says all of "mint leaves"
        $isWhole = $match->isExact || array_diff($alias, $asked, NameWords::of($line->preparation), $nothing) === [];

        return $match->isUsual && $isCovered && $isWhole ? Sureness::Certain : Sureness::Likely;
    }

    /**
     * Whether two things fit a name as well as one another, neither to the word.
     *
     * @param list<NameMatch> $matches
     */
    public static function isTied(array $matches): bool
    {
        [$best, $other] = [$matches[0] ?? null, $matches[1] ?? null];

        return $best !== null && $other !== null && !$best->isExact && $best->missed === [] && $other->missed === []
            && $best->key !== $other->key && abs($best->score - $other->score) < self::TIED;
    }

    /** @return list<string> words that only say which kind of a thing this is */
    private function passable(string $key): array
    {
        $ingredient = $this->catalogue->get($key);
        $passable = [];
        foreach (FactsFile::named('words')['kinds']->fields() as $kind) {
            if (
                ($kind === 'pod' && $ingredient->composition->heatIsOfPods)
                || in_array($kind, [...$ingredient->kinds, ...$ingredient->roles], true)
            ) {
                $passable = [...$passable, ...FactsFile::named('words')['kinds']->list($kind)];
            }
        }

        return $passable;
    }

    /**
     * Words that are written large within a line, that name nothing in any kitchen, and stand before a name that is
     * ours: a brand.
     *
     * @param array<string> $words
     */
    private function areBrands(array $words, Item $line): bool
    {
        $written = preg_split('/\s+/u', trim($line->name), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $isAtStart = $line->amountText === '';
        foreach ($words as $word) {
            $places = array_keys(
                array_filter($written, static fn(string $one): bool => NameWords::of($one) === [$word]),
            );
            $at = $places[0] ?? null;
            $isLarge = $at !== null && preg_match('/^\p{Lu}\p{Ll}/u', $written[$at]) === 1;
            $after = $at === null ? [] : array_slice($written, $at + 1);
            $restIsSmall = $after !== []
                && array_filter(
                    $after,
                    static fn(string $one): bool => preg_match('/^\p{Ll}/u', $one) !== 1 && !self::isLargeToo($one),
                ) === []
                && preg_match('/^\p{Ll}/u', end($after)) === 1;
            if (
                !$isLarge
                || !$restIsSmall
                || ($at === 0 && $isAtStart)
                || $this->catalogue->names()->knows($word)
                || in_array($word, FactsFile::named('words')['tellers']->list('words'), true)
            ) {
                return false;
            }
        }

        return true;
    }

    private static function isLargeToo(string $word): bool
    {
        return preg_match('/^\p{Lu}/u', $word) === 1;
    }

    /**
     * "capers from a jar" are jarred capers, or capers.
     *
     * @return list<string>
     */
    private static function unpacked(string $name): array
    {
        $isPacked = preg_match(
            '/^(.+?)\s{1,8}(?:from|out\s+of)\s+(?:an?|the)\s+(?:opened\s+)?(jar|tin|can|bottle|tub)\b/iu',
            $name,
            $found,
        ) === 1;

        return $isPacked ? [(strtolower($found[2]) === 'jar' ? 'jarred ' : 'tinned ') . $found[1], $found[1]] : [];
    }

    /**
     * The name may go on after a comma ("vinegar, white"), lean on its alternative ("red or white wine vinegar"),
     * start with a counting noun ("star anise"), or hide in brackets.
     *
     * @return list<string>
     */
    private function otherReadings(Item $line): array
    {
        $readings = [];
        $other = $line->alternatives[0] ?? '';
        $words = explode(' ', $other);
        // "cider or cider vinegar": what the other choice says again needs nothing of it
        if ($other !== '' && array_diff(NameWords::of($line->name), NameWords::of($other)) !== []) {
            for ($from = 1; $from < count($words); ++$from) {
                $readings[] = $line->name . ' ' . implode(' ', array_slice($words, $from));
            }
        }
        if ($line->measured?->counted !== null && $line->measured->counted !== 'whole') {
            $readings[] = $line->measured->counted . ' ' . $line->name;
            $readings[] = $line->name . ' ' . $line->measured->counted;
        }
        foreach (['tin' => 'tinned', 'jar' => 'jarred'] as $pack => $packed) {
            if (in_array($pack, [$line->measured?->pack, $line->measured?->counted], true)) {
                $readings[] = "{$packed} {$line->name}";
            }
        }
        if ($line->preparation !== '') {
            $first = preg_split('/\s*[,;]\s*/', $line->preparation)[0] ?? '';
            // "if vegan" says when, "with juices" what goes in too, and not what it is
            $readings = preg_match('/^(?:if|for|to|or|as|when|with|including)\b|\band all$/iu', $first) === 1
                || Vocabulary::has('its-own', mb_strtolower($first))
                    && preg_match('/\ball\b/iu', $line->preparation) === 1
                ? $readings
                : [...$readings, "{$first} {$line->name}"];
            if (array_filter(
                NameWords::of($line->name),
                static fn(string $word): bool => !NameWords::isDescriptor($word),
            ) === []) {
                $readings[] = $line->preparation;
            }
        }
        if (preg_match('/^(.+?)\s+in\s+(?:\pL+\s+){0,2}(?:juice|syrup|brine|water|oil|vinegar)$/iu', $line->name, $found) === 1) {
            $readings[] = $found[1];
        }
        return $readings;
    }

    /** Whether its last word may be meant of the last alone: the juice of "lemon or lime juice" is of both. */
    private static function isOfItsOwn(string $reading): bool
    {
        $words = NameWords::of($reading);

        return !Vocabulary::has('leant-on', end($words) ?: '');
    }

    /**
     * Peppers that are counted or weighed are vegetables; pepper by the spoon, the pinch and the turn of a mill is
     * ground.
     *
     * @param list<NameMatch> $matches
     *
     * @return list<NameMatch>
     */
    private function unlessVegetable(Item $line, array $matches): array
    {
        $best = $matches[0] ?? null;
        $other = $best === null ? null : (FactsFile::named('words')['counted']->textOr($best->key, '') ?: null);
        if (
            $best === null
            || $other === null
            || !$this->catalogue->has($other)
        ) {
            return $matches;
        }
        $telling = array_values(array_filter(
            NameWords::of($line->name),
            static fn(string $word): bool => !NameWords::isDescriptor($word),
        ));
        if ($telling !== ['pepper'] && $telling !== [$best->key, 'pepper']) {
            return $matches;
        }
        $measured = $line->measured;
        $isCounted = $measured !== null
            && $measured->unit === null
            && in_array($measured->counted, [null, 'whole'], true);
        $isSpooned = $measured?->unit?->millilitres !== null || $measured?->unit?->isVague() === true;

        return $isCounted || !$isSpooned && preg_match('/\bpeppers\b/iu', $line->name) === 1
            ? [$best->takenFor($other, false), ...$matches]
            : $matches;
    }

    /**
     * By the teaspoon or the pinch red pepper is ground chilli, coriander its seed and thyme dried; diced, fresh or
     * roasted red pepper is the vegetable, and leaves are leaves.
     *
     * @param list<NameMatch> $matches
     *
     * @return list<NameMatch>
     */
    private function unlessGround(Item $line, array $matches): array
    {
        $best = $matches[0] ?? null;
        $spooned = FactsFile::named('words')['spooned'];
        $unit = $line->measured?->unit;
        if (
            $best === null
            || $unit === null
            || !$spooned->has($best->key)
            || !($unit->name === 'teaspoon' || ($unit->isVague() && ($unit->millilitres ?? 1.0) < 1.0))
            || $spooned->isSaidIn($line->name, 'names_unless')
            || $spooned->isSaidIn($line->text, 'unless')
        ) {
            return $matches;
        }

        return [$best->takenFor($spooned->text($best->key), false), ...$matches];
    }

    /**
     * Spoons of a lemon are spoons of its juice.
     *
     * @param list<NameMatch> $matches
     *
     * @return list<NameMatch>
     */
    private function unlessPouredInstead(Item $line, array $matches): array
    {
        $best = $matches[0] ?? null;
        if ($best !== null && $line->measured?->unit?->millilitres !== null) {
            $poured = $this->catalogue->get($best->key)->portions->pouredAs;
            if ($poured !== null) {
                return [$best->takenFor($poured, true), ...$matches];
            }
        }

        return $matches;
    }

    /**
     * The telling words of a name that a reading of it leaves out, but for what only says how it is packed.
     *
     * @return list<string>
     */
    private static function dropped(string $name, string $reading): array
    {
        $packed = FactsFile::named('words')['packed-in']->list('words');

        return array_values(array_filter(
            array_diff(NameWords::of($name), NameWords::of($reading), $packed),
            static fn(string $word): bool => !NameWords::isDescriptor($word),
        ));
    }

    /** @param bool $isOther whether it is then another thing to the word: fresh turmeric, but no chopped tomato */
    private static function tellsMore(string $reading, string $name, bool $isOther): bool
    {
        $more = array_diff(NameWords::of($reading), NameWords::of($name));

        return array_filter(
            $more,
            static fn(string $word): bool => !NameWords::isDescriptor($word)
                || $isOther && ($word === 'fresh' || !Vocabulary::has('done-to', $word)),
        ) !== [];
    }

    /** "honey, hot", "olives, ripe": another thing, or how it goes in. */
    private static function mayTellMore(string $reading, string $name): bool
    {
        $more = array_diff(NameWords::of($reading), NameWords::of($name));

        return array_filter($more, static fn(string $word): bool => Vocabulary::has('done-to', $word, 'kinds')) !== [];
    }
}
