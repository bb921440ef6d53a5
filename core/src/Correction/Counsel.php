<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Balance;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Style\StyleFamily;
use Vinculum\Taste\Target;

/** Sets up a correction from what the cook has said: which style, which complaint, what may be added. */
final class Counsel
{
    /** What may be added when neither the cook nor a style says. */
    private const USUAL = ['water', 'white-sugar', 'salt', 'cider-vinegar', 'lemon-juice', 'soy-sauce', 'honey', 'cayenne'];

    /**
     * @param list<string>|null $with ingredient keys that alone may be added
     */
    public static function for(Balance $balance, ?StyleFamily $style, ?Complaint $complaint, ?array $with, int $most, ?float $capacityMillilitres, Catalogue $catalogue, Measures $measures): Advice
    {
        $keys = $with ?? self::usual($style);
        $candidates = array_map(static fn(string $key): Candidate => Candidate::of($catalogue->get($key)), $keys);
        $target = $complaint?->target($balance->taste, $style?->target) ?? $style?->target;
        if ($target === null) {
            return new Advice($balance->taste, Target::of([]), 0.0, [], ['Nothing to aim at: choose a style, or say what is wrong ("too salty").']);
        }

        return CorrectionSearch::advise($balance->mixture, $target, new Wish($candidates, $most, $capacityMillilitres, $measures), $balance->allergens());
    }

    /** @return list<string> */
    private static function usual(?StyleFamily $style): array
    {
        return $style === null ? self::USUAL : array_values(array_unique([...$style->correctors, 'water']));
    }
}
