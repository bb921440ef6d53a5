<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Facts\FactsFile;
use Vinculum\Facts\Words;

/** Which cautions a step of a method calls for, at the moment it comes. The rules are rows of step-cautions.ini. */
final class StepCautions
{
    /**
     * @param string $text the step's own words
     * @param bool $isHot something has been at the hob before
     * @param string $contents what is in the pan, in words
     *
     * @return list<Caution>
     */
    public static function for(string $text, bool $isHot, string $contents): array
    {
        $cautions = [];
        foreach (FactsFile::named('step-cautions') as $row) {
            if (
                !$row->isSaidIn($text, 'words')
                || ($row->textOr('after_heat', 'no') === 'yes' && !$isHot)
                || ($row->has('all') && !$row->isSaidIn("{$text} {$contents}", 'all'))
            ) {
                continue;
            }
            $cautions[] = Caution::fromRow($row);
        }

        return $cautions;
    }
}
