<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;

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
        foreach (FactsFile::named('step-cautions') as $row) {
            if (
                !Words::areIn($text, $row->list('words'))
                || ($row->textOr('after_heat', 'no') === 'yes' && !$isHot)
                || ($row->has('all') && !Words::areIn("{$text} {$contents}", $row->list('all')))
            ) {
                continue;
            }
            $cautions[] = Caution::fromRow($row);
        }

        return $cautions;
    }
}
