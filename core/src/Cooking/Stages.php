<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Balance\Formula;
use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;

/**
 * The stages of a formula: headings among its lines start them, a heading's own words may say how it is cooked ("Simmer
 * 20 minutes:"), and the method's steps belong to the stage whose heading they stand under, or else come when
 * everything hot is in, those after the last at the hob when the cold is in too. Lines marked [cold], and those of a
 * stage off the heat, go in last.
 */
final class Stages
{
    private const COLD_TITLE = 'Off the heat';

    /**
     * @param list<string> $method as written, one step a line; a line that ends in a colon names a stage
     * @param array<int, string|null> $titles of the stage of each line of the recipe, by its number, where the formula holds no headings
     *
     * @return list<Stage> in the order they are cooked
     */
    public static function of(Formula $formula, array $method, array $titles = []): array
    {
        [$hot, $cold] = self::split($formula, $titles);
        $under = self::methodByStage(
            $method,
            array_map(static fn(Stage $stage): string => (string) $stage->title, [...$hot, ...$cold]),
        );
        $steps = MethodReader::steps($under[-1] ?? []);
        $isUntitled = count($hot) === 1 && $hot[0]->title === null && $hot[0]->lines !== [];
        if ($isUntitled && $steps !== [] && count($under) === 1) {
            return self::byStep($hot[0]->lines, $cold, $steps);
        }
        [$cooked, $after] = self::atTheHob($steps);
        $stages = [];
        foreach ([...$hot, ...$cold] as $index => $stage) {
            $stages[] = $stage->with(
                ...MethodReader::steps($under[$index] ?? []),
                ...($index === count($hot) - 1 ? $cooked : []),
                ...($index === count($hot) ? $after : []),
            );
        }
        if ($cold === []) {
            $stages[count($hot) - 1] = $stages[count($hot) - 1]->with(...$after);
        }

        return array_values(
            array_filter($stages, static fn(Stage $stage): bool => $stage->lines !== [] || $stage->steps !== []),
        );
    }

    /**
     * Where nothing but the method says when things go in: a stage begins with each step that puts something in, and
     * what goes in after the last heat is off it.
     *
     * @param non-empty-array<int, ResolvedLine> $lines
     * @param list<Stage> $cold of lines that are tagged
     * @param non-empty-list<MethodStep> $steps
     *
     * @return list<Stage>
     */
    private static function byStep(array $lines, array $cold, array $steps): array
    {
        $links = MethodLinks::of($steps, $lines);
        $hot = array_keys(array_filter($steps, static fn(MethodStep $step): bool => $step->isAtTheHob()));
        $lastHot = $hot === [] ? count($steps) : max($hot);
        /** @var list<Stage> $stages */
        $stages = [];
        foreach ($steps as $number => $step) {
            $here = array_filter(
                $lines,
                static fn(int $line): bool => $links->stepOf($line) === $number,
                ARRAY_FILTER_USE_KEY,
            );
            $isOff = $number > $lastHot;
            $last = count($stages) - 1;
            $isNew = $here !== [] || $last < 0 || $isOff && !$stages[$last]->isOffTheHeat && $cold !== [];
            if (!$isNew) {
                $stages[$last] = $stages[$last]->with($step);
                continue;
            }
            $tagged = $isOff && $cold !== [] ? array_shift($cold) : null;
            $stages[] = new Stage(
                $tagged->title ?? ($isOff ? self::COLD_TITLE : null),
                $here + ($tagged->lines ?? []),
                [$step],
                $isOff,
            );
        }

        return [...$stages, ...$cold];
    }

    /**
     * @param array<int, string|null> $titles by the number of a line
     *
     * @return array{list<Stage>, list<Stage>} those that are cooked, and those that go in once it is off the heat
     */
    private static function split(Formula $formula, array $titles): array
    {
        [$title, $isOff, $at, $names, $lines, $cold] = [null, false, 0, [null], [[]], []];
        foreach ($formula->lines as $number => $line) {
            $isHeading = $line->status === LineStatus::Heading;
            $named = $isHeading ? rtrim(trim($line->text()), ': ') : ($titles[$line->source->id ?? 0] ?? $title);
            if ($named !== $title && $named !== '' && $named !== null) {
                [$title, $isOff, $at] = [$named, self::isOff($named), $at + 1];
                [$names[], $lines[]] = [$title, []];
            }
            if ($isHeading) {
                continue;
            }
            if (!$isOff && in_array('cold', $line->written->tags, true)) {
                $cold[$number] = $line;
            } else {
                $lines[$at][$number] = $line;
            }
        }
        $stages = array_map(
            static fn(?string $name, array $in): Stage => new Stage(
                $name,
                $in,
                self::stepsOf($name),
                $name !== null && self::isOff($name),
            ),
            $names,
            $lines,
        );
        $off = array_values(array_filter($stages, static fn(Stage $stage): bool => $stage->isOffTheHeat));
        if ($cold !== []) {
            $first = array_shift($off) ?? new Stage(self::COLD_TITLE, [], [], true);
            array_unshift($off, new Stage($first->title, $cold + $first->lines, $first->steps, true));
        }

        return [array_values(array_filter($stages, static fn(Stage $stage): bool => !$stage->isOffTheHeat)), $off];
    }

    /**
     * @param list<MethodStep> $steps
     *
     * @return array{list<MethodStep>, list<MethodStep>} up to the last at the hob, and those after it
     */
    private static function atTheHob(array $steps): array
    {
        $hot = array_keys(array_filter($steps, static fn(MethodStep $step): bool => $step->isAtTheHob()));
        $until = $hot === [] ? 0 : max($hot) + 1;

        return [array_slice($steps, 0, $until), array_slice($steps, $until)];
    }

    /** @return list<MethodStep> what a heading itself says is done */
    private static function stepsOf(?string $title): array
    {
        return array_values(
            array_filter(
                MethodReader::steps($title === null ? [] : [-1 => $title]),
                static fn(MethodStep $step): bool => $step->minutes !== null || $step->left !== null,
            ),
        );
    }

    private static function isOff(string $title): bool
    {
        return FactsFile::named('times')['off']->isSaidIn($title, 'words');
    }

    /**
     * @param list<string> $method
     * @param list<string> $titles
     *
     * @return array<int, array<int, string>> steps by stage, those under no heading at −1, by their place in the method
     */
    private static function methodByStage(array $method, array $titles): array
    {
        [$under, $at] = [[], -1];
        foreach ($method as $number => $line) {
            $line = trim(mb_scrub($line));
            if (preg_match('/^([^:]{2,60}):$/u', $line, $heading) === 1) {
                $named = array_search(mb_strtolower(trim($heading[1])), array_map(mb_strtolower(...), $titles), true);
                $at = $named === false ? -1 : $named;
            } elseif ($line !== '') {
                $under[$at][$number] = $line;
            }
        }

        return $under;
    }
}
