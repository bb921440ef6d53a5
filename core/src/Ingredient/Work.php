<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Facts\FactsFile;

/** What an ingredient does in a sauce: souring, sweetening, thickening, … (core/data/works.ini). */
final class Work
{
    /**
     * @param string $kind an ingredient's key, or that of the one it is like
     *
     * @return list<string> keys of every work it does
     */
    public static function of(string $kind): array
    {
        /** @var array<string, list<string>>|null $byKind */
        static $byKind = null;
        if ($byKind === null) {
            $byKind = [];
            foreach (FactsFile::named('works') as $work) {
                foreach ($work->list('of') as $member) {
                    $byKind[$member][] = $work->key;
                }
            }
        }

        return $byKind[$kind] ?? [];
    }
}
