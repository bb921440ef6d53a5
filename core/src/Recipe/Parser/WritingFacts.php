<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;

/** Words around a name, as patterns that are made once (writing.ini). */
final class WritingFacts
{
    /** What only says what a thing is for: "for frying", "to taste". */
    public static function purposes(): string
    {
        return FactsFile::named('writing')['purposes']->pattern('words');
    }

    /** Words before a name that say nothing of what it is. */
    public static function passedOver(): string
    {
        return FactsFile::named('writing')['passed-over']->pattern('words');
    }

    /** @return list<string> what "and a …" may say: somewhat over the amount before it */
    public static function bits(): array
    {
        return FactsFile::named('writing')['and-a-bit']->list('words');
    }

    /** How many times the amount before it "and a bit" comes to at most. */
    public static function andABit(): float
    {
        return FactsFile::named('writing')['and-a-bit']->numbers('most_times')[0] ?? 1.0;
    }

    /** @return array<string, array{string, string}> a pattern and what it stands for, by the short form */
    public static function rewritten(): array
    {
        /** @var array<string, array{string, string}>|null $pairs */
        static $pairs = null;
        if ($pairs === null) {
            $pairs = [];
            foreach (FactsFile::named('writing')['rewritten']->list('words') as $pair) {
                [$short, $long] = explode(' > ', $pair, 2);
                $pairs[$short] = ['/(?<![\pL\d])' . preg_quote($short, '/') . '(?![\pL\d])/iu', $long];
            }
        }

        return $pairs;
    }
}
