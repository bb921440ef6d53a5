<?php

declare(strict_types=1);

namespace Tests\core\Family;

use Vinculum\Family\FamilyBook;
use Vinculum\Family\ReferenceFormula;
use Vinculum\Ingredient\Catalogue;

/** The references that ship, read once a run. */
final class References
{
    /** @return array<string, non-empty-list<ReferenceFormula>> by family */
    public static function all(): array
    {
        /** @var array<string, non-empty-list<ReferenceFormula>>|null $all */
        static $all = null;
        if ($all === null) {
            $all = [];
            foreach (FamilyBook::keys() as $key) {
                $all[$key] = ReferenceFormula::of($key, Catalogue::shipped());
            }
        }

        return $all;
    }
}
