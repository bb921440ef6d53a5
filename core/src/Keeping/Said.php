<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Row;
use Vinculum\Facts\Words;

/** What the words of a recipe say of keeping (said.ini): what touched raw meat, what stood warm, what was infused. */
final readonly class Said
{
    private const MOST_LETTERS = 20_000;
    /** Words between one that says how an animal was cooked and the animal. */
    private const WORDS_BETWEEN = 2;

    /** @param list<string> $sentences */
    private function __construct(private array $sentences) {}

    /** @param list<string> $texts title, notes, stages and method, as written */
    public static function in(array $texts): self
    {
        $text = mb_substr(mb_scrub(implode("\n", $texts)), 0, self::MOST_LETTERS);

        return new self(array_values(array_filter(
            array_map(trim(...), preg_split('/(?<=[.;!?])\s+|\n/u', $text) ?: []),
            static fn(string $sentence): bool => $sentence !== '',
        )));
    }

    /** Whether any sentence holds one of the words of a rule's field. */
    public function holds(Row $row, string $field = 'words'): bool
    {
        return $row->isSaidIn(implode("\n", $this->sentences), $field);
    }

    /** Whether it was in touch with what is raw: a row of animals. */
    public function touches(string $animals): bool
    {
        $handling = FactsFile::named('said')['handling'];
        $isHandled = false;
        $isThere = false;
        foreach ($this->sentences as $sentence) {
            $isServed = $handling->isSaidIn($sentence, 'serves');
            $handles = $handling->isSaidIn($sentence, 'raw') || !$isServed && $handling->isSaidIn($sentence, 'weak');
            $isHandled = $isHandled || $handles;
            $isThere = $isThere || (!$isServed || $handling->isSaidIn($sentence, 'raw'))
                && self::isRawIn($sentence, $animals);
        }

        return $isHandled && $isThere;
    }

    /** Whether it was in touch with raw meat or fish. */
    public function touchesRaw(): bool
    {
        return $this->touches('meat') || $this->touches('fish');
    }

    /** Whether a step handles something raw, by its own words. */
    public static function handlesRaw(string $step): bool
    {
        $handling = FactsFile::named('said')['handling'];

        return $handling->isSaidIn($step, 'raw')
            || ($handling->isSaidIn($step, 'weak') && (self::isRawIn($step, 'meat') || self::isRawIn($step, 'fish')));
    }

    /** Whether part of it was set apart for the table. */
    public function isDivided(): bool
    {
        return $this->holds(FactsFile::named('said')['divided']);
    }

    /** Whether it stood at room temperature or in the sun. */
    public function isLeftOut(): bool
    {
        $row = FactsFile::named('said')['left-out'];
        foreach ($this->sentences as $sentence) {
            if (
                !$row->isSaidIn($sentence, 'but')
                && ($row->isSaidIn($sentence, 'words')
                    || $row->isSaidIn($sentence, 'where') && $row->isSaidIn($sentence, 'while'))
            ) {
                return true;
            }
        }

        return false;
    }

    public function isInfused(): bool
    {
        return $this->holds(FactsFile::named('said')['infused']);
    }

    private static function isRawIn(string $sentence, string $animals): bool
    {
        $row = FactsFile::named('said')[$animals];
        if (!$row->isSaidIn($sentence, 'words')) {
            return false;
        }
        $not = FactsFile::named('said')['not-raw'];
        $parts = preg_split("/({$row->pattern('words')})/iu", $sentence, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [];
        for ($at = 1; $at < count($parts); $at += 2) {
            $before = implode(' ', array_slice(explode(' ', trim($parts[$at - 1])), -self::WORDS_BETWEEN));
            $after = implode(' ', array_slice(explode(' ', trim($parts[$at + 1])), 0, self::WORDS_BETWEEN));
            $isMadeOf = preg_match("/^\\s*(?:{$not->pattern('made_of')})/iu", $after) === 1;
            if (!$isMadeOf && !Words::areIn($before, $not->list('cooked_before'))) {
                return true;
            }
        }

        return false;
    }
}
