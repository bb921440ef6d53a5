<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Chemistry\Component;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\NameWords;
use Vinculum\Ingredient\Texture;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** By which words a method may mean each line of a formula: its whole name, its last word, its first; or many at once. */
final readonly class ThingWords
{
    private const LONGEST = 5;
    /** Letters from which a word may be the end of a longer one. */
    private const ENDING = 5;
    /** As its own line has it, a name with all its words, a name as it stands, the thing it ends with, the thing it comes from, a word for many. */
    private const OWN = 5;
    private const EXACT = 4;
    public const WHOLE = 3;
    private const HEAD = 2;
    private const FIRST = 1;
    private const GROUP = 0;

    /**
     * @param array<string, array<int, int>> $meant how well by line, by words
     */
    private function __construct(private array $meant) {}

    /** @param array<int, ResolvedLine> $lines */
    public static function of(array $lines): self
    {
        [$meant, $many] = [[], self::wordsForMany()];
        foreach ($lines as $number => $line) {
            $names = [
                // "peppercorns in brine" are peppercorns, and no brine
                self::withoutWhatItLiesIn($line->written->name),
                ...($line->ingredient === null ? [] : [$line->ingredient->name, ...$line->ingredient->aliases]),
            ];
            foreach ($names as $at => $name) {
                $full = NameWords::of($name);
                $words = self::telling($full);
                // what it may be called elsewhere may be a word for many here: "the cheeses"
                if ($words === [] || $at > 0 && isset($many[implode(' ', $words)])) {
                    continue;
                }
                self::mean($meant, $words, $number, self::WHOLE);
                // "stem ginger" is no other ginger, and the cook's "cinnamon stick" no other cinnamon
                if (count($full) > 1 && ($at === 0 || $full !== $words)) {
                    self::mean($meant, $full, $number, $at === 0 ? self::OWN : self::EXACT);
                }
                // how else it is called says how it may be called here; its own words say what it is
                if ($at <= 1 && count($words) > 1) {
                    $last = (string) end($words);
                    // "the zest" of a fruit; "the juices" are all there are
                    if ($line->ingredient?->partOfFruit() !== null && !isset($many[$last])) {
                        self::mean($meant, [$last], $number, self::FIRST);
                    }
                    [$word, $howWell] = self::isGeneric($last) ? [$words[0], self::FIRST] : [$last, self::HEAD];
                    // "the vegetables" are no "vegetable powder"
                    if (!isset($many[$word])) {
                        self::mean($meant, [$word], $number, $howWell);
                    }
                }
            }
        }
        self::preferWhatIsWritten($meant, $lines);
        self::meanWhatIsNear($meant, $lines);
        foreach ($many as $said => [$word, $rows]) {
            foreach ($lines as $number => $line) {
                if (array_filter($rows, static fn(Row $row): bool => self::isOf($line, $row)) !== []) {
                    $howWell = self::isNamedIn($word, $line->written->name) ? self::WHOLE : self::GROUP;
                    self::mean($meant, [$said], $number, $howWell);
                }
            }
        }

        return new self($meant);
    }

    /**
     * "The peppercorns" are the "green peppercorns" of one line and not the "pepper" of another, however else that is called.
     *
     * @param array<string, array<int, int>> $meant
     * @param array<int, ResolvedLine> $lines
     */
    private static function preferWhatIsWritten(array &$meant, array $lines): void
    {
        $written = array_map(
            static fn(ResolvedLine $line): array => NameWords::of(self::withoutWhatItLiesIn($line->written->name)),
            $lines,
        );
        foreach ($written as $number => $words) {
            $last = (string) end($words);
            foreach ($meant[$last] ?? [] as $other => $howWell) {
                if ($other !== $number && $howWell >= self::WHOLE && !in_array($last, $written[$other] ?? [], true)) {
                    self::mean($meant, [$last], $number, self::OWN);
                }
            }
        }
    }

    /**
     * Of a line that is not known, what it is nearest to: "the beer" is the home-brew, where no other line is beer.
     *
     * @param array<string, array<int, int>> $meant
     * @param array<int, ResolvedLine> $lines
     */
    private static function meanWhatIsNear(array &$meant, array $lines): void
    {
        foreach ($lines as $number => $line) {
            foreach ($line->ingredient === null ? $line->alternatives : [] as $key) {
                $words = NameWords::of(Catalogue::shipped()->get($key)->name);
                if ($words !== [] && !isset($meant[implode(' ', $words)])) {
                    self::mean($meant, $words, $number, self::GROUP);
                }
            }
        }
    }

    private static function withoutWhatItLiesIn(string $name): string
    {
        return (string) preg_replace('/(?<=\pL)\s+(?:packed\s+)?in\s+\pL.*$/iu', '', $name);
    }

    /**
     * Words that mean several things at once, as NameWords gives them.
     *
     * @return array<string, array{string, non-empty-list<Row>}> how it is written, and what it means
     */
    private static function wordsForMany(): array
    {
        /** @var array<string, array{string, non-empty-list<Row>}>|null $many */
        static $many = null;
        if ($many === null) {
            $many = [];
            foreach (FactsFile::named('doing') as $key => $row) {
                foreach (str_starts_with((string) $key, 'of-') ? $row->list('words') : [] as $word) {
                    $said = implode(' ', NameWords::of($word));
                    $many[$said] = [$word, [...($many[$said][1] ?? []), $row]];
                }
            }
        }

        return $many;
    }

    /** "Salt and pepper" names both, "fresh herbs" what is fresh; "spices" names no blend of that name above the others. */
    private static function isNamedIn(string $many, string $name): bool
    {
        $words = self::telling(NameWords::of($name));
        $naming = FactsFile::named('doing')['sorts']->list('words');
        if (str_contains($many, ' and ')) {
            $singular = array_filter(explode(' ', $many), static fn(string $word): bool => !str_ends_with($word, 's'));
            $naming = [...$naming, ...$singular];
        }

        return array_intersect(self::telling(NameWords::of($many)), $naming, $words) !== [];
    }

    /**
     * The same words, where some lines were tied together: "the spice bag" means them, and no other spice.
     *
     * @param list<int> $tied
     */
    public function withBundle(array $tied): self
    {
        $meant = $this->meant;
        foreach (FactsFile::named('doing')['bundle']->list('words') as $word) {
            $said = implode(' ', NameWords::of($word));
            $meant[$said] = array_fill_keys($tied, self::WHOLE);
        }

        return new self($meant);
    }

    /**
     * What words at a place of a sentence mean: as many of them as mean something, and the lines.
     *
     * @param list<string> $words of the sentence, as NameWords gives them
     * @param callable(string): bool $isName whether some words are the name of anything at all
     *
     * @return array{int, list<int>, int} words taken, lines, and how well they are meant; no lines where the words name
     *     another thing
     */
    public function at(array $words, int $at, callable $isName): array
    {
        for ($count = min(self::LONGEST, count($words) - $at); $count > 0; --$count) {
            $said = implode(' ', array_slice($words, $at, $count));
            $meant = $this->meant[$said] ?? null;
            if ($meant !== null) {
                // a bundle of which nothing is known means nothing
                return [$count, ...self::best($meant)];
            }
            if ($count > 1 && $isName($said)) {
                $kept = implode(' ', self::withoutForms(array_slice($words, $at, $count)));
                $meant = $this->meant[$kept] ?? [];

                return [$count, ...self::best($kept === $said ? [] : $meant)];
            }
        }

        return [1, ...$this->ending($words[$at])];
    }

    /**
     * "The crumbs" are the breadcrumbs: what a word means that a longer one ends in.
     *
     * @return array{list<int>, int}
     */
    private function ending(string $word): array
    {
        $meant = [];
        $isForMany = isset(self::wordsForMany()[$word]);
        foreach ($isForMany || strlen($word) < self::ENDING ? [] : $this->meant as $said => $lines) {
            $isEnding = strlen((string) $said) > strlen($word) + 2 && str_ends_with((string) $said, $word)
                && !str_contains((string) $said, ' ');
            foreach ($isEnding ? $lines : [] as $line => $howWell) {
                $meant[$line] = max($meant[$line] ?? 0, min($howWell, self::FIRST));
            }
        }

        return self::best($meant);
    }

    /**
     * @param array<int, int> $meant how well by line
     *
     * @return array{list<int>, int}
     */
    private static function best(array $meant): array
    {
        return $meant === [] ? [[], self::GROUP] : [array_keys($meant, max($meant), true), max($meant)];
    }

    /**
     * @param array<string, array<int, int>> $meant
     * @param list<string> $words
     */
    private static function mean(array &$meant, array $words, int $line, int $howWell): void
    {
        $said = implode(' ', $words);
        $meant[$said][$line] = max($meant[$said][$line] ?? 0, $howWell);
    }

    /**
     * @param list<string> $words
     *
     * @return list<string>
     */
    private static function telling(array $words): array
    {
        $telling = array_values(array_filter($words, static fn(string $word): bool => !NameWords::isDescriptor($word)));

        return $telling === [] ? $words : $telling;
    }

    /**
     * "Pineapple chunks" are pineapple, "lime juice" is no lime.
     *
     * @param list<string> $words
     *
     * @return list<string>
     */
    private static function withoutForms(array $words): array
    {
        $forms = FactsFile::named('doing')['forms']->list('words');
        while (count($words) > 1 && in_array(end($words), $forms, true)) {
            array_pop($words);
        }

        return $words;
    }

    private static function isGeneric(string $word): bool
    {
        return in_array($word, FactsFile::named('words')['generic']->list('words'), true);
    }

    private static function isOf(ResolvedLine $line, Row $row): bool
    {
        $ingredient = $line->ingredient;
        if ($ingredient === null || array_intersect($row->list('but_roles'), $ingredient->roles) !== []) {
            return false;
        }
        $isLiquid = $ingredient->portions->texture === Texture::Liquid;
        $mixture = $ingredient->composition->mixture;

        return !($isLiquid && $row->has('but_texture')) && (
            array_intersect($row->list('kinds'), $ingredient->kinds) !== []
            || array_intersect($row->list('roles'), $ingredient->roles) !== []
            || in_array($ingredient->kind(), $row->list('names'), true)
            || $row->has('with') && $mixture->get(Component::CapsaicinoidHeat) > 0.0
            || $row->has('texture') && $isLiquid
            || $row->has('dry_at_most') && !$isLiquid && $mixture->percent(Component::Water) <= $row->number('dry_at_most')
        );
    }
}
