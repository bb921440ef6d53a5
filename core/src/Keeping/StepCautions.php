<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Facts\FactsFault;
use Vinculum\Facts\FactsFile;

/** Which cautions a step of a method calls for, at the moment it comes. The rules are rows of step-cautions.ini. */
final class StepCautions
{
    /**
     * @param string $text     the step's own words
     * @param bool   $isHot    something has been at the hob before
     * @param string $contents what is in the pan, in words
     *
     * @return list<Caution>
     */
    public static function for(string $text, bool $isHot, string $contents): array
    {
        $cautions = [];
        foreach (FactsFile::named('step-cautions') as $code => $row) {
            if (!self::says($text, $row->list('words')) || ($row->textOr('after_heat', 'no') === 'yes' && !$isHot) || ($row->has('all') && !self::says("{$text} {$contents}", $row->list('all')))) {
                continue;
            }
            $severity = $row->text('severity');
            $cautions[] = match ($severity) {
                'info', 'warn', 'stop' => new Caution($code, $severity, $row->text('text'), $row->text('source')),
                default => throw FactsFault::unknownKey('severity', $severity),
            };
        }

        return $cautions;
    }

    /** @param list<string> $words */
    private static function says(string $text, array $words): bool
    {
        $pattern = implode('|', array_map(static fn(string $word): string => preg_quote($word, '/'), $words));

        return preg_match("/\\b(?:{$pattern})\\b/iu", mb_scrub($text)) === 1;
    }
}
