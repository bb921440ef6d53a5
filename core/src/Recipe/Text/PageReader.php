<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Text;

use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;

/**
 * Reads a page line by line: what each is, by its own signs and by what stands around it. Every sign speaks for and
 * against kinds of lines with a weight (page.ini), so does every kind that comes before; the reading is the sequence
 * with the highest sum, found as the shortest way through (Viterbi, 1967).
 */
final class PageReader
{
    /** What comes after so many lines is taken for ingredients, unread. */
    /** Kinds that a line which says how much of a food never is. */
    private const NUTRITION = ['nutrition', 'nutrition-start'];
    private const NO_FOOD = [
        LineKind::Title, LineKind::Blurb, LineKind::Heading, LineKind::IngredientsHeading, LineKind::NotesHeading,
        LineKind::Note,
    ];
    private const MOST_LINES = 2000;
    /** Likewise after so many letters. */
    private const MOST_LETTERS = 400_000;
    /** Nobody writes a line of more letters: it is set aside, unread. */
    public const LONGEST_LINE = 2000;
    /** A reading that beats every other by less is not sure. */
    private const SURE = 2.0;
    /** What speaks for an ingredient in a file that is written for the command line. */
    private const FILE = 4.0;

    private LineSigns $signs;

    /** @var array<string, array<string, float>> weight by kind and sign */
    private array $weights = [];

    /** @var array<string, array<string, float>> by kind and the kind after it */
    private array $follows = [];

    /** @var array<string, float> */
    private array $first = [];

    public function __construct(Catalogue $catalogue)
    {
        $this->signs = new LineSigns($catalogue);
        $facts = FactsFile::named('page');
        foreach (LineKind::cases() as $kind) {
            $this->weights[$kind->value] = $facts['weights']->amounts($kind->value);
            $this->follows[$kind->value] = $facts['follows']->amounts($kind->value);
            $this->first[$kind->value] = $facts['first']->numberOrNull($kind->value) ?? 0.0;
        }
    }

    /**
     * @param list<string> $lines of the page; those that say nothing are left out
     * @param bool $isFile they are written as a file for the command line is
     *
     * @return list<ReadLine>
     */
    public function read(array $lines, bool $isFile = false): array
    {
        $isFirstOfBlock = self::firstOfBlocks($lines);
        $lines = array_values(array_filter($lines, static fn(string $line): bool => trim($line) !== ''));
        $most = self::readable($lines);
        $unread = array_map(
            static fn(string $line): ReadLine => new ReadLine(
                trim(mb_scrub($line)),
                self::isTooLong($line) ? LineKind::Note : LineKind::Ingredient,
                false,
            ),
            array_slice($lines, $most),
        );
        $lines = array_slice($lines, 0, $most);
        $signs = [];
        foreach ($lines as $at => $line) {
            $signs[] = self::isTooLong($line) ? ['too-long'] : $this->signs->of($line, $at, $isFile);
        }
        foreach ($signs as $at => $of) {
            $isBeforeFood = in_array('amount', $signs[$at + 1] ?? [], true);
            if ($isFirstOfBlock[$at] && $isBeforeFood && in_array('nameless', $of, true)) {
                $signs[$at][] = 'leads-a-block';
            }
        }
        $signs = self::withoutLoneNutrition($signs);
        $scores = array_map(
            fn(array $of): array => self::keptAsFood($of, $this->scores($of, $isFile)),
            self::placed($signs),
        );
        $kinds = $this->likeliest($scores);
        $read = array_map(
            static fn(string $line, string $kind, array $score): ReadLine => self::isTooLong($line)
                ? new ReadLine(trim(mb_scrub($line)), LineKind::Note, true)
                : new ReadLine(
                    LineSigns::plain($line),
                    LineKind::from($kind),
                    self::lead($score, $kind) >= self::SURE,
                ),
            $lines,
            $kinds,
            $scores,
        );

        return [...$read, ...$unread];
    }

    /**
     * "Sugar: 10 g" beside a line that says how much of a food, in a row of none that is surely nutrition, is food too.
     *
     * @param list<list<string>> $signs of each line
     *
     * @return list<list<string>>
     */
    private static function withoutLoneNutrition(array $signs): array
    {
        $without = $signs;
        foreach ($signs as $at => $of) {
            [$from, $to] = [$at, $at];
            while (self::isNutrition($signs[$from - 1] ?? [])) {
                --$from;
            }
            while (self::isNutrition($signs[$to + 1] ?? [])) {
                ++$to;
            }
            $table = array_slice($signs, $from, $to - $from + 1);
            $isTable = array_filter($table, static fn(array $one): bool => !self::isFood($one)) !== [];
            $beside = [$signs[$from - 1] ?? [], $signs[$to + 1] ?? []];
            if (self::isNutrition($of) && !$isTable && array_filter($beside, self::isFood(...)) !== []) {
                $without[$at] = array_values(array_diff($of, self::NUTRITION));
            }
        }

        return array_values($without);
    }

    /** @param list<string> $signs */
    private static function isFood(array $signs): bool
    {
        return in_array('known', $signs, true) && !in_array('sentence', $signs, true)
            && array_intersect(['amount', 'ends-in-amount'], $signs) !== [];
    }

    /** @param list<string> $signs */
    private static function isNutrition(array $signs): bool
    {
        return array_intersect([...self::NUTRITION, 'nutrition-heading'], $signs) !== [];
    }

    /**
     * No line of an ingredient list that says how much of a food is a heading or a note, whatever else it looks like.
     *
     * @param list<string> $signs
     * @param array<string, float> $scores by kind
     *
     * @return array<string, float>
     */
    private static function keptAsFood(array $signs, array $scores): array
    {
        $isFood = array_diff(['in-ingredients', 'amount', 'known'], $signs) === []
            && array_intersect(FactsFile::named('page')['kept-as-food']->list('unless'), $signs) === [];
        foreach ($isFood ? self::NO_FOOD : [] as $kind) {
            $scores[$kind->value] = -INF;
        }

        return $scores;
    }

    /** Whether nobody can have written a line so: it is not looked at. */
    public static function isTooLong(string $line): bool
    {
        return strlen($line) > self::LONGEST_LINE && mb_strlen($line) > self::LONGEST_LINE;
    }

    /**
     * How many lines are looked at.
     *
     * @param list<string> $lines
     */
    private static function readable(array $lines): int
    {
        $letters = 0;
        foreach ($lines as $at => $line) {
            $letters += self::isTooLong($line) ? 0 : strlen($line);
            if ($at >= self::MOST_LINES || $letters > self::MOST_LETTERS) {
                return $at;
            }
        }

        return count($lines);
    }

    /**
     * What a line is that stands alone, where it is surely something else than an ingredient; null where it may be one.
     *
     * @param bool $isBesideFood an ingredient stands before it
     */
    public function otherThanFood(string $line, bool $isBesideFood = false): ?LineKind
    {
        if (self::isTooLong($line)) {
            return LineKind::Note;
        }
        $signs = $this->signs->of($line, 5, false);
        $signs = $isBesideFood && self::isFood($signs) ? array_values(array_diff($signs, self::NUTRITION)) : $signs;
        $score = $this->scores($signs, false);
        arsort($score);
        $kind = LineKind::from((string) array_key_first($score));
        $isOther = in_array(
            $kind,
            [LineKind::Time, LineKind::Yield, LineKind::Portions, LineKind::Nutrition, LineKind::Link],
            true,
        );

        return $isOther && self::lead($score, $kind->value) >= self::SURE ? $kind : null;
    }

    /**
     * @param list<string> $lines
     *
     * @return list<bool> of each line that says something: that an empty one stands before it
     */
    private static function firstOfBlocks(array $lines): array
    {
        $isFirst = [];
        $isAfterGap = true;
        foreach ($lines as $line) {
            $isEmpty = trim($line) === '';
            if (!$isEmpty) {
                $isFirst[] = $isAfterGap;
            }
            $isAfterGap = $isEmpty;
        }

        return $isFirst;
    }

    /**
     * Every line with where it stands among the words for sections.
     *
     * @param list<list<string>> $signs of each line
     *
     * @return list<list<string>>
     */
    private static function placed(array $signs): array
    {
        $isWord = static fn(array $of, string $cue): bool => in_array($cue, $of, true) && !in_array('long', $of, true);
        $at = static fn(string $cue): array => array_keys(
            array_filter($signs, static fn(array $of): bool => $isWord($of, $cue)),
        );
        $method = $at('method')[0] ?? null;
        $ingredients = array_filter(
            $at('ingredients'),
            static fn(int $line): bool => $method === null || $line < $method,
        );
        $from = $ingredients === [] ? null : max($ingredients);
        $after = array_filter($at('notes'), static fn(int $line): bool => $line > max($method ?? -1, $from ?? -1));
        $notes = $method === null || $after === [] ? null : min($after);
        $placed = [];
        foreach ($signs as $line => $of) {
            $place = match (true) {
                $notes !== null && $line > $notes => 'after-notes',
                $method !== null && $line > $method && ($from === null || $from < $method) => 'after-method',
                $from !== null && $line > $from => 'in-ingredients',
                $from !== null && $line < $from => 'before-ingredients',
                default => null,
            };
            $placed[] = $place === null ? $of : [...$of, $place];
        }

        return $placed;
    }

    /**
     * @param list<string> $signs
     *
     * @return array<string, float> by kind
     */
    private function scores(array $signs, bool $isFile): array
    {
        $scores = [];
        foreach ($this->weights as $kind => $weights) {
            $score = 0.0;
            foreach ($signs as $sign) {
                $score += $weights[$sign] ?? 0.0;
            }
            $scores[$kind] = $score;
        }
        if ($isFile) {
            $scores[LineKind::Ingredient->value] += self::FILE;
        }

        return $scores;
    }

    /**
     * @param list<array<string, float>> $scores of each line by kind
     *
     * @return list<string> kinds
     */
    private function likeliest(array $scores): array
    {
        if ($scores === []) {
            return [];
        }
        $best = [];
        foreach ($scores[0] as $kind => $score) {
            $best[$kind] = $score + $this->first[$kind];
        }
        $from = [];
        for ($at = 1; $at < count($scores); ++$at) {
            $next = [];
            foreach ($scores[$at] as $kind => $score) {
                [$most, $source] = [-INF, $kind];
                foreach ($best as $before => $sum) {
                    $here = $sum + ($this->follows[$before][$kind] ?? 0.0);
                    if ($here > $most) {
                        [$most, $source] = [$here, $before];
                    }
                }
                $next[$kind] = $most + $score;
                $from[$at][$kind] = $source;
            }
            $best = $next;
        }
        $kinds = [self::highest($best)];
        for ($at = count($scores) - 1; $at > 0; --$at) {
            array_unshift($kinds, $from[$at][$kinds[0]]);
        }

        return $kinds;
    }

    /** @param array<string, float> $score by kind */
    private static function highest(array $score): string
    {
        arsort($score);

        return (string) array_key_first($score);
    }

    /**
     * By how much a kind leads all others by the line's own signs.
     *
     * @param array<string, float> $score
     */
    private static function lead(array $score, string $kind): float
    {
        $others = $score;
        unset($others[$kind]);

        return $score[$kind] - max(-INF, ...array_values($others));
    }
}
