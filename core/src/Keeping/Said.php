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

    /**
     * @param list<string> $besides sentences of title, notes and stages
     * @param list<string> $method sentences of the method, in order
     */
    private function __construct(private array $besides, private array $method) {}

    /**
     * @param list<string> $method as written
     * @param list<string> $besides title, notes and stages, as written
     */
    public static function in(array $method, array $besides = []): self
    {
        return new self(self::sentences($besides), self::sentences($method));
    }

    /**
     * @param list<string> $texts
     *
     * @return list<string>
     */
    private static function sentences(array $texts): array
    {
        $text = mb_substr(mb_scrub(implode("\n", $texts)), 0, self::MOST_LETTERS);

        return array_values(array_filter(
            array_map(trim(...), preg_split('/(?<=[.;!?])\s+|\n/u', $text) ?: []),
            static fn(string $sentence): bool => $sentence !== '',
        ));
    }

    /** @return list<string> */
    private function all(): array
    {
        return [...$this->besides, ...$this->method];
    }

    /** Whether any sentence holds one of the words of a rule's field. */
    public function holds(Row $row, string $field = 'words'): bool
    {
        return $row->isSaidIn(implode("\n", $this->all()), $field);
    }

    /** Whether it was in touch with what is raw: a row of animals. */
    public function touches(string $animals): bool
    {
        return $this->isHandled($animals) || $this->isMarinated($animals);
    }

    /** A step names the animal before it is cooked, and does not serve it. */
    private function isHandled(string $animals): bool
    {
        $handling = FactsFile::named('said')['handling'];
        foreach ($this->method as $sentence) {
            if (!self::isRawIn($sentence, $animals)) {
                continue;
            }
            $isContact = $handling->isSaidIn($sentence, 'raw') || $handling->isSaidIn($sentence, 'weak');
            if (!$isContact && $handling->isSaidIn($sentence, 'cooks')) {
                return false;
            }
            if ($handling->isSaidIn($sentence, 'raw') || !$handling->isSaidIn($sentence, 'serves')) {
                return true;
            }
        }

        return false;
    }

    /** A marinade, a baste or the like is spoken of, and somewhere the animal that is not yet cooked. */
    private function isMarinated(string $animals): bool
    {
        $handling = FactsFile::named('said')['handling'];
        [$isMarinade, $isThere] = [false, false];
        foreach ($this->all() as $sentence) {
            $isRaw = $handling->isSaidIn($sentence, 'raw');
            $isMarinade = $isMarinade || $isRaw;
            $isThere = $isThere
                || ($isRaw || !$handling->isSaidIn($sentence, 'serves')) && self::isRawIn($sentence, $animals);
        }

        return $isMarinade && $isThere;
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
        foreach ($this->all() as $sentence) {
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
