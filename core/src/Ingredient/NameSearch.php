<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;

/**
 * One ranked search over every name of every ingredient: exact, reordered, longer or shorter than ours, misspelt.
 *
 * How a name is scored against an alias stands at AskedName.
 */
final class NameSearch
{
    /** Below this score a name is not taken for the ingredient; it is still offered as a neighbour. */
    public const ACCEPTED = 0.48;

    private const LONGEST_NAME = 12;
    private const MOST_FOUND = 6;
    private const LONGEST_HEARD = 30;
    private const MISHEARD_SOUNDS = 1;
    private const MISHEARD_LETTERS = 3;
    private const MOST_REMEMBERED = 5000;
    /** What a product of the cook's own is ahead of the generic of the same name. */
    private const OWN_FIRST = 0.02;

    /** @var array<string, list<int>> alias numbers by word */
    private array $aliasesWith = [];

    /** @var list<array{key: string, alias: string, words: list<string>, likely: bool, own: bool}> */
    private array $aliases = [];

    /** @var array<string, list<int>> alias numbers by their words in order */
    private array $exact = [];

    /** @var array<string, true> what names begin with, a word, two words, and so on */
    private array $begun = [];

    /** @var array<string, string|null> the vocabulary's nearest word by misspelling */
    private array $corrected = [];

    /** @var array<string, list<NameMatch>> answers already given, by words */
    private array $found = [];

    /**
     * The index of the shipped names, and the best matches of each of them by its words: alias number, score, words
     * missed, whether exact, words beyond.
     *
     * @var array{keys: array<string, true>, aliases: list<array{key: string, alias: string, words: list<string>, likely: bool, own: bool}>, aliasesWith: array<string, list<int>>, exact: array<string, list<int>>, begun: array<string, true>, ranked: array<string, list<array{int, float, list<string>, bool, list<string>}>>}|null
     */
    private static ?array $compiled = null;

    /** @var array<int, string> how aliases sound, by their number */
    private array $sounds = [];

    /** How many of the first aliases are those of the compiled index. */
    private int $shipped = 0;

    private function __construct() {}

    /**
     * @param array<string, Row> $rows ingredient rows by key
     * @param array<string, Ingredient> $own the cook's own, by key
     */
    public static function over(array $rows, array $own = []): self
    {
        $search = new self();
        if (self::$compiled !== null && array_diff_key(self::$compiled['keys'], $rows) === []) {
            [
                'aliases' => $search->aliases,
                'aliasesWith' => $search->aliasesWith,
                'exact' => $search->exact,
                'begun' => $search->begun,
            ] = self::$compiled;
            $rows = array_diff_key($rows, self::$compiled['keys']);
            $search->shipped = count($search->aliases);
        }

        foreach ($own as $key => $product) {
            foreach ([$product->name, ...$product->aliases] as $alias) {
                $search->add($key, $alias, true, true);
            }
        }

        return $search->with($rows);
    }

    /**
     * Takes the index of the shipped names from a PHP file written by compile() instead of building it for every
     * request.
     */
    public static function useCompiled(string $path): void
    {
        $index = require $path;
        $parts = ['keys' => 0, 'aliases' => 0, 'aliasesWith' => 0, 'exact' => 0, 'begun' => 0, 'ranked' => 0];
        if (is_array($index) && array_diff_key($parts, $index) === []) {
            /** @phpstan-ignore assign.propertyType */
            self::$compiled = $index;
        }
    }

    /**
     * The index over these rows as the source of a PHP file that returns it, for useCompiled().
     *
     * @param array<string, Row> $rows
     */
    public static function compile(array $rows): string
    {
        self::$compiled = null;
        $search = self::over($rows);

        $index = [
            'keys' => array_fill_keys(array_keys($rows), true),
            'aliases' => $search->aliases,
            'aliasesWith' => $search->aliasesWith,
            'exact' => $search->exact,
            'begun' => $search->begun,
            'ranked' => $search->rankings(),
        ];

        // without the spaces that set it out, which are most of it
        return '<?php return ' . preg_replace('/\n +/', '', var_export($index, true)) . ";\n";
    }

    /** @return array<string, list<array{int, float, list<string>, bool, list<string>}>> the best matches of every name */
    private function rankings(): array
    {
        $numbers = [];
        foreach ($this->aliases as $number => $alias) {
            $numbers[$alias['key']][$alias['alias']] = $number;
        }
        $rankings = [];
        foreach ($this->aliases as $alias) {
            if ($alias['words'] !== [] && count($alias['words']) <= self::LONGEST_NAME) {
                $rankings[implode(' ', $alias['words'])] ??= array_map(
                    static fn(NameMatch $match): array => [
                        $numbers[$match->key][$match->alias],
                        $match->score,
                        $match->missed,
                        $match->isExact,
                        $match->beyond,
                    ],
                    $this->ranked($alias['words']),
                );
            }
        }

        return $rankings;
    }

    /** When the way names are indexed last changed: a Unix time. */
    public static function lastChange(): int
    {
        return max((int) filemtime(__FILE__), (int) filemtime(__DIR__ . '/NameWords.php'));
    }

    /** Whether a name in the catalogue begins with these words, as NameWords::of() gives them. */
    public function begins(string $words): bool
    {
        return isset($this->begun[$words]);
    }

    /** Whether these words, in this order, are a name in the catalogue. */
    public function isWhole(string $words): bool
    {
        return isset($this->exact[$words]);
    }

    /** @param array<string, Row> $rows */
    private function with(array $rows): self
    {
        foreach ($rows as $key => $row) {
            $maybe = $row->list('maybe');
            // a key by itself is a name as well, where the row does not doubt it
            $names = [$row->text('name'), str_replace('-', ' ', $key), ...$row->list('also')];
            foreach (array_diff($names, $maybe) as $alias) {
                $this->add($key, $alias, true);
            }
            foreach ($maybe as $alias) {
                $this->add($key, $alias, false);
            }
        }

        return $this;
    }

    /**
     * The best match for each ingredient that shares a word with the name, best first.
     *
     * @return list<NameMatch>
     */
    public function find(string $name, int $most = self::MOST_FOUND): array
    {
        $words = array_slice(NameWords::of($name), 0, self::LONGEST_NAME);
        if ($words === []) {
            return [];
        }
        return array_slice($this->found[implode(' ', $words)] ??= $this->ranked($words), 0, $most);
    }

    /**
     * Names that begin with these letters, or hold a word that does: one name for each ingredient, the cook's own
     * first, then names that begin so, then the shorter.
     *
     * @return list<NameMatch> scored by that order
     */
    public function startingWith(string $letters, int $most): array
    {
        $letters = trim(mb_strtolower($letters));
        $best = [];
        foreach ($this->aliases as $alias) {
            $name = mb_strtolower($alias['alias']);
            $at = $letters === '' ? false : strpos(' ' . $name, ' ' . $letters);
            if ($at === false) {
                continue;
            }
            $score = ($alias['own'] ? 2.0 : 0.0)
                + ($at === 0 ? 1.0 : 0.0)
                - strlen($name) / 1000.0
                - ($alias['likely'] ? 0.0 : 0.05);
            if ($score > ($best[$alias['key']]->score ?? -INF)) {
                $best[$alias['key']] = new NameMatch($alias['key'], $alias['alias'], $score);
            }
        }
        usort($best, static fn(NameMatch $a, NameMatch $b): int => $b->score <=> $a->score);

        return array_slice($best, 0, $most);
    }

    /**
     * What a word may be that was misheard: "flower" sounds like flour, "time" like thyme.
     *
     * @return list<string> keys, the nearest first
     */
    public function soundingLike(string $name, int $most): array
    {
        $words = implode(' ', NameWords::of($name));
        $sound = self::sound($words);
        if (strlen($sound) < 2 || strlen($words) > self::LONGEST_HEARD) {
            return [];
        }
        $near = [];
        foreach ($this->aliases as $number => $alias) {
            $said = implode(' ', $alias['words']);
            if (abs(strlen($said) - strlen($words)) > self::MISHEARD_LETTERS) {
                continue;
            }
            $apart = levenshtein($sound, $this->sounds[$number] ??= self::sound($said));
            $letters = levenshtein($words, $said);
            if ($apart <= self::MISHEARD_SOUNDS && 2 * $letters <= strlen($said)) {
                $near[$alias['key']] = min($near[$alias['key']] ?? INF, 10.0 * $apart + $letters);
            }
        }
        asort($near);

        return array_slice(array_keys($near), 0, $most);
    }

    /** As it is heard: "th" at a word's beginning, and a mute "h", are what microphones lose. */
    private static function sound(string $words): string
    {
        return strtr(metaphone($words), ['0' => 'T', 'H' => '']);
    }

    /**
     * @param non-empty-list<string> $words
     *
     * @return list<NameMatch> the best match for each of the nearest ingredients, best first
     */
    private function ranked(array $words): array
    {
        if (count($this->found) > self::MOST_REMEMBERED) {
            $this->found = [];
        }
        $spelt = array_map($this->spelt(...), $words);
        $misspelt = $spelt !== $words ? 0.1 : 0.0;
        $asked = AskedName::of($spelt);
        $matches = $this->shippedMatches($spelt);
        $known = $matches === [] ? 0 : $this->shipped;
        $scores = array_map(static fn(NameMatch $match): float => $match->score, $matches);
        $best = [];
        foreach ($this->candidates($spelt) as $number) {
            if ($number < $known) {
                continue;
            }
            $alias = $this->aliases[$number];
            $score = $asked->score($alias['words'])
                - $misspelt
                - ($alias['likely'] ? 0.0 : 0.015)
                + ($alias['own'] ? self::OWN_FIRST : 0.0);
            if ($score > ($scores[$alias['key']] ?? 0.05)) {
                $scores[$alias['key']] = $score;
                $best[$alias['key']] = $number;
            }
        }
        arsort($scores);
        $found = [];
        foreach (array_slice($scores, 0, self::MOST_FOUND, true) as $key => $score) {
            $found[] = isset($best[$key])
                ? $this->matched($asked, $this->aliases[$best[$key]], $score, $misspelt === 0.0 ? $spelt : null)
                : $matches[$key];
        }

        return $found;
    }

    /**
     * @param array{key: string, alias: string, words: list<string>, likely: bool, own: bool} $alias
     * @param list<string>|null $words null where one of them is misspelt
     */
    private function matched(AskedName $asked, array $alias, float $score, ?array $words): NameMatch
    {
        return new NameMatch(
            $alias['key'],
            $alias['alias'],
            $score,
            $asked->missedBy($alias['words']),
            $words !== null && array_diff($words, $alias['words']) === [] && array_diff($alias['words'], $words) === [],
            $alias['likely'],
            $asked->beyond($alias['words']),
        );
    }

    /**
     * What the compiled index says of a name that is one of its own.
     *
     * @param list<string> $words
     *
     * @return array<string, NameMatch> by key, best first; empty where it is no such name
     */
    private function shippedMatches(array $words): array
    {
        $ranked = $this->shipped === 0 ? [] : self::$compiled['ranked'][implode(' ', $words)] ?? [];
        $matches = [];
        foreach ($ranked as [$number, $score, $missed, $isExact, $beyond]) {
            $alias = $this->aliases[$number];
            $matches[$alias['key']] = new NameMatch(
                $alias['key'],
                $alias['alias'],
                $score,
                $missed,
                $isExact,
                $alias['likely'],
                $beyond,
            );
        }

        return $matches;
    }

    /** Whether any name in the catalogue holds this word. */
    public function knows(string $word): bool
    {
        return isset($this->aliasesWith[$word]);
    }

    private function add(string $key, string $alias, bool $likely, bool $own = false): void
    {
        $words = NameWords::of($alias);
        $number = count($this->aliases);
        $this->aliases[] = ['key' => $key, 'alias' => $alias, 'words' => $words, 'likely' => $likely, 'own' => $own];
        $this->exact[implode(' ', $words)][] = $number;
        foreach (array_keys($words) as $last) {
            $this->begun[implode(' ', array_slice($words, 0, $last + 1))] = true;
        }
        foreach (array_unique($words) as $word) {
            $this->aliasesWith[$word][] = $number;
        }
    }

    /**
     * Aliases that share a telling word with the name; the exact ones alone where there are some likely ones.
     *
     * @param list<string> $words
     *
     * @return list<int>
     */
    private function candidates(array $words): array
    {
        $numbers = [];
        $telling = array_filter($words, static fn(string $word): bool => !NameWords::isDescriptor($word));
        foreach ($telling === [] ? $words : $telling as $word) {
            foreach ($this->aliasesWith[$word] ?? [] as $number) {
                $numbers[$number] = $number;
            }
        }
        foreach ($this->exact[implode(' ', $words)] ?? [] as $number) {
            $numbers[$number] = $number;
        }

        return array_values($numbers);
    }

    private function spelt(string $word): string
    {
        return isset($this->aliasesWith[$word]) || NameWords::isDescriptor($word)
            ? $word
            : ($this->nearestWord($word) ?? $word);
    }

    private function nearestWord(string $word): ?string
    {
        if (array_key_exists($word, $this->corrected)) {
            return $this->corrected[$word];
        }
        $length = strlen($word);
        $allowed = in_array($word, FactsFile::named('words')['tellers']->list('words'), true) ? 0 : match (true) {
            $length < 6 => 0,
            $length < 9 => 1,
            default => 2,
        };
        $nearest = null;
        $least = $allowed + 1;
        if ($allowed > 0 && $length <= 30) {
            foreach ($this->aliasesWith as $known => $numbers) {
                $known = (string) $known;
                if ($known[0] === $word[0] && abs(strlen($known) - $length) <= $allowed && strlen($known) > 3) {
                    $distance = levenshtein($word, $known);
                    if ($distance < $least) {
                        [$least, $nearest] = [$distance, $known];
                    }
                }
            }
        }
        if (count($this->corrected) > 5000) {
            $this->corrected = [];
        }

        return $this->corrected[$word] = $nearest;
    }
}
