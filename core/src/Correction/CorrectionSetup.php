<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Balance;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetShift;
use Vinculum\Style\StyleFamily;

/** Sets up a correction from what the cook has said: which style, which complaint, what may be added. */
final class CorrectionSetup
{
    /**
     * @param list<string>|null $with ingredient keys that alone may be added
     * @param Target|null       $own  a target of the cook's own, instead of the style's
     * @param TargetShift|null         $move words that move the target, such as "a little sharper"
     */
    public static function for(
        Balance $balance,
        ?StyleFamily $style,
        ?Complaint $complaint,
        ?array $with,
        int $most,
        ?float $capacityMillilitres,
        Catalogue $catalogue,
        Measures $measures,
        ?Target $own = null,
        ?TargetShift $move = null,
    ): Advice {
        $aim = $own ?? $style?->target;
        $aim = $aim !== null && $move !== null ? $move->apply($aim) : $aim;
        $target = $complaint?->target($balance->taste, $aim) ?? $aim;
        if ($target === null) {
            return new Advice(
                $balance->taste,
                Target::of([]),
                0.0,
                [],
                ['Nothing to aim at: choose a style, or say what is wrong ("too salty").'],
            );
        }

        return self::towards(
            $target,
            $balance,
            $with ?? self::usual($style),
            $most,
            $capacityMillilitres,
            $catalogue,
            $measures,
        );
    }

    /**
     * What to add to get as near as may be to a target.
     *
     * @param list<string> $with ingredient keys that alone may be added
     */
    public static function towards(
        Target $target,
        Balance $balance,
        array $with,
        int $most,
        ?float $capacityMillilitres,
        Catalogue $catalogue,
        Measures $measures,
    ): Advice {
        $candidates = array_map(static fn(string $key): Candidate => Candidate::of($catalogue->get($key)), $with);
        $advice = CorrectionSearch::advise(
            $balance->mixture,
            $target,
            new CorrectionLimits($candidates, $most, $capacityMillilitres, $measures),
            $balance->allergens(),
        );

        return new Advice(
            $advice->before,
            $advice->target,
            $advice->distanceBefore,
            $advice->corrections,
            $advice->notes,
            Alternatives::for($balance, $target, $advice),
            $candidates,
        );
    }

    /**
     * @return list<string> ingredient keys that are allowed when the cook names none: the family's correctors, its
     *     base, and water
     */
    public static function usual(?StyleFamily $style): array
    {
        return $style === null
            ? FactsFile::named('correctors')['usual']->list('of')
            : array_values(array_unique([...$style->correctors, $style->base, 'water']));
    }
}
