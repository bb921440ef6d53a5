<?php

declare(strict_types=1);

namespace Vinculum\CookSession;

use Vinculum\Cooking\MethodStep;

/** How a step is watched: from when it is worth a look, and what hands are free for meanwhile. */
final class StepWatch
{
    /** "about 35 minutes until sticky": from this share of the time on it is worth a look. */
    private const LOOK_FROM = 0.85;
    /** A wait this long leaves hands free. */
    private const FREE_MINUTES = 8.0;
    /** So short a time is watched from its beginning. */
    private const SHORT_MINUTES = 5.0;

    private function __construct() {}

    /** Minutes from which it is worth a look; null where it names no time, or nobody need look. */
    public static function lookFrom(MethodStep $step): ?float
    {
        if ($step->minutes === null || $step->waits()) {
            return null;
        }
        [$from, $to] = $step->minutes;

        return match (true) {
            $from < $to => $from,
            $step->until !== null && $from >= self::SHORT_MINUTES => round(self::LOOK_FROM * $from),
            default => null,
        };
    }

    /**
     * What can be done while it cooks; null where it wants its cook.
     *
     * @param list<MethodStep> $later
     */
    public static function meanwhile(MethodStep $step, array $later): ?string
    {
        $next = $later[0] ?? null;
        if ($next !== null && preg_match('/^(?:meanwhile|while)\b/iu', $next->text) === 1) {
            // the sheet says "meanwhile" before it
            return ucfirst((string) preg_replace('/^meanwhile\s*,?\s*/iu', '', $next->text));
        }
        $isLong = $step->minutes !== null && $step->minutes[1] >= self::FREE_MINUTES && $step->kind !== 'do';
        foreach ($isLong && $step->isAtTheHob() ? $later : [] as $one) {
            if (preg_match('/\b(?:jars?|bottles?|jarred|bottled|jar up)\b/iu', $one->text) === 1) {
                return 'Wash the jars and lids and keep them hot.';
            }
            if ($one->isAtTheHob()) {
                return null;
            }
        }

        return null;
    }
}
