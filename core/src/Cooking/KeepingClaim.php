<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\FactsFile;

/** What a recipe says of how long its sauce keeps: a claim of the cook, beside ours, and never a step of the method. */
final class KeepingClaim
{
    /** A sauce that rests for less is not being kept. */
    private const LEAST_MINUTES = 1440.0;

    /** Whether a sentence says how long it keeps, whatever else it says. */
    public static function isIn(string $sentence): bool
    {
        $row = FactsFile::named('times')['keeps'];

        return $row->isSaidIn($sentence, 'words') && !$row->isSaidIn($sentence, 'unless')
            && (StepTime::in($sentence)[1] ?? 0.0) >= self::LEAST_MINUTES;
    }

    /** Whether a sentence says that alone. */
    public static function isWhole(string $sentence): bool
    {
        $begins = FactsFile::named('times')['keeps']->pattern('begins');

        return preg_match("/^\W*(?:once (?:opened|open|cool|cold),? )?{$begins}/iu", $sentence) === 1
            && self::isIn($sentence);
    }

    /**
     * The sentences that say it, in the cook's words; null where none does.
     *
     * @param array<string> $texts of a method, and of what stands beside it
     */
    public static function in(array $texts): ?string
    {
        $claims = [];
        foreach ($texts as $text) {
            foreach (preg_split('/(?<=[.;!]) /u', trim(mb_scrub($text))) ?: [] as $sentence) {
                if (self::isIn($sentence)) {
                    $claims[] = trim($sentence);
                }
            }
        }

        return $claims === [] ? null : implode(' ', array_unique($claims));
    }
}
