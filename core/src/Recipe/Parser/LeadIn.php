<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Parser;

use Vinculum\Facts\FactsFile;

/** "So I'm going in with about two tablespoons …": what people say before they come to an amount. */
final class LeadIn
{
    private const AMOUNT = '~^(?:(?:about|around|roughly|approximately|maybe|almost|just|nearly|some)\s+)*(?:a\s+good\s+|a\s+|an\s+|the\s+)?'
        . '(?:[\d½⅓⅔¼¾⅛]|(?:half|quarter|third|couple|few|one|two|three|four|five|six|seven|eight|nine|ten|twelve|twenty|dozen|another'
        . '|hundred|pinch|splash|dash|glug|handful|knob|squeeze|drizzle|drop|teaspoon|tablespoon|cup|spoonful|bit|little|touch|juice|zest'
        . '|clove|tin|can|bunch|sprig|stick|scant|heaped|generous|level|kilo|kilogram|gram|pound|ounce|litre|liter|pint|quart|jar|bottle'
        . '|packet|carton|tub|head|thumb)s?\b)~iu';
    /** "For the ranch: 1/4 cup coconut milk". */
    private const FOR_A_PART = '/^for (?:the |a |an |my )?[\pL -]{2,30}:\s+(?=[\d½⅓⅔¼¾⅛]|an?\s|half\s|(?:the )?(?:juice|zest)\s)/iu';
    private const MOST_WORDS = 16;

    /** The line from its amount on; as it is where it does not lead up to one. */
    public static function without(string $line): string
    {
        if (preg_match('/^[\pL]/u', $line) !== 1) {
            return $line;
        }
        $line = (string) preg_replace(self::FOR_A_PART, '', $line);
        $words = self::words();
        $at = 0;
        for ($count = 0; $count < self::MOST_WORDS; ++$count) {
            if ($count > 0 && preg_match(self::AMOUNT, substr($line, $at)) === 1) {
                return substr($line, $at);
            }
            if (
                preg_match("/\G([\pL']+),?\s*/u", $line, $found, 0, $at) !== 1
                || !isset($words[mb_strtolower($found[1])])
            ) {
                return $line;
            }
            $at += strlen($found[0]);
        }

        return $line;
    }

    /** @return array<string, true> */
    private static function words(): array
    {
        /** @var array<string, true>|null $words */
        static $words = null;

        return $words ??= array_fill_keys(FactsFile::named('writing')['speech']->list('words'), true);
    }
}
