<?php

declare(strict_types=1);

namespace Vinculum\Kitchen;

/** What a cook made of the answer to a taste: what was said of the sauce, which ways were offered, and which was taken. */
final readonly class AnsweredTaste
{
    /**
     * @param list<string> $words keys of what the tongue said, in order
     * @param non-empty-list<string> $offered ways, the first answer first: ingredients joined by " + "
     * @param int|null $taken which of them, from 0; null where none was
     */
    private function __construct(public array $words, public array $offered, public ?int $taken) {}

    /**
     * @param list<string> $words
     * @param list<list<string>> $offered keys of ingredients
     * @param list<string>|null $taken null where none was
     *
     * @return self|null null where nothing was offered, or something else was added
     */
    public static function of(array $words, array $offered, ?array $taken): ?self
    {
        $ways = array_map(self::way(...), $offered);
        $at = $taken === null ? null : array_search(self::way($taken), $ways, true);
        if ($words === [] || $ways === [] || $at === false) {
            return null;
        }
        sort($words);

        return new self($words, $ways, $at);
    }

    /** @param list<string> $ingredients keys */
    public static function way(array $ingredients): string
    {
        sort($ingredients);

        return implode(' + ', $ingredients);
    }

    /**
     * How often the first answer was taken: "Of 9 answers the first was taken 6 times, another 2 times, none once."
     *
     * @param list<self> $answers
     */
    public static function tally(array $answers): ?string
    {
        if ($answers === []) {
            return null;
        }
        $times = static fn(int $count): string => match ($count) {
            0 => 'never',
            1 => 'once',
            default => "{$count} times",
        };
        $first = count(array_filter($answers, static fn(self $one): bool => $one->taken === 0));
        $none = count(array_filter($answers, static fn(self $one): bool => $one->taken === null));

        return sprintf(
            'Of %d %s to a taste the first was taken %s, another %s, none of them %s.',
            count($answers),
            count($answers) === 1 ? 'answer' : 'answers',
            $times($first),
            $times(count($answers) - $first - $none),
            $times($none),
        );
    }
}
