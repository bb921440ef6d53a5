<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Facts\Words;

/** What a step does to a sauce: the first of its words that says so. */
final readonly class StepDeed
{
    /** Rows of words by the kind of step that they tell; of words that stand at one place the earlier row wins. */
    private const ROWS = [
        'cools' => 'cool',
        'strains' => 'strain',
        'blends' => 'blend',
        'rests' => 'rest',
        'cooks' => 'heat',
    ];
    private const LONG_MINUTES = 720.0;

    /** @param 'do'|'heat'|'reduce'|'rest'|'cool'|'strain'|'blend' $kind */
    private function __construct(public string $kind, public ?Heat $heat) {}

    /**
     * @param string                   $tags    what its tags say; they win
     * @param float|null               $left    the share of the volume that it leaves, where it says so
     * @param array{float, float}|null $minutes
     */
    public static function of(string $text, string $tags, ?float $left, ?array $minutes): self
    {
        $tagged = Heat::namedIn($tags);
        if ($tagged !== null) {
            return new self('reduce', $tagged);
        }
        $times = FactsFile::named('times');
        if (Words::areIn($text, $times['closed']->list('words'))) {
            return new self('heat', null);
        }
        $plain = self::without(self::without($text, 'not-heating'), 'not-boiling');
        $heat = Heat::namedIn($plain);
        if ($heat === null && $left !== null && preg_match('/\breduc|\bboil|\bevaporat|\bconcentrat/iu', $text) === 1) {
            $heat = Heat::usual();
        }
        [$kind, $place] = ['do', PHP_INT_MAX];
        foreach (self::ROWS as $row => $one) {
            $at = self::place($plain, $times[$row]->list('words'));
            if ($at !== null && $at < $place) {
                [$kind, $place] = [$one, $at];
            }
        }
        $boils = $heat === null ? null : self::place($plain, self::words('heats'));
        $isSteeped = preg_match('/\b(?:steep|infuse)/iu', $plain) === 1 && $kind === 'rest';
        if ($heat !== null && !$isSteeped && ($left !== null || ($boils ?? 0) <= $place)) {
            return new self('reduce', $heat);
        }
        if ($kind === 'rest' && self::place($plain, $times['cools']->list('words')) !== null) {
            $kind = 'cool';
        }
        if ($kind === 'do' && $minutes !== null && $minutes[0] >= self::LONG_MINUTES) {
            $kind = 'rest';
        }

        return new self($kind, null);
    }

    private static function without(string $text, string $row): string
    {
        return (string) preg_replace(
            '/' . Words::pattern(FactsFile::named('times')[$row]->list('words')) . '/iu',
            ' ',
            $text,
        );
    }

    /** @param list<string> $words */
    private static function place(string $text, array $words): ?int
    {
        $forms = '/\b(?:' . implode('|', array_map(
            static fn(string $word): string => preg_quote($word, '/') . '(?:s|es|ed|d|ing)?',
            $words,
        )) . ')\b/iu';

        return preg_match($forms, $text, $found, PREG_OFFSET_CAPTURE) === 1 ? $found[0][1] : null;
    }

    /** @return list<string> */
    private static function words(string $file): array
    {
        return array_merge(...array_map(
            static fn(Row $row): array => $row->list('words'),
            array_values(FactsFile::named($file)),
        ));
    }
}
