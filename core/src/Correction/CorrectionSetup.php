<?php

declare(strict_types=1);

namespace Vinculum\Correction;

use Vinculum\Balance\Balance;
use Vinculum\Chemistry\Component;
use Vinculum\Facts\Facts;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetShift;
use Vinculum\Style\StyleFamily;

/** Sets up a correction from what the cook has said: which style, which complaint, what may be added. */
final class CorrectionSetup
{
    private const GROUND_CHILLI = 'cayenne';

    /**
     * @param list<Candidate>|null $candidates what alone may be added; what a cook would reach for when null
     * @param Target|null          $own        a target of the cook's own, instead of the style's
     * @param TargetShift|null     $move       words that move the target, such as "a little sharper"
     */
    public static function for(
        Balance $balance,
        ?StyleFamily $style,
        ?Complaint $complaint,
        ?array $candidates,
        int $most,
        ?float $capacityMillilitres,
        Catalogue $catalogue,
        Measures $measures,
        ?Target $own = null,
        ?TargetShift $move = null,
    ): Advice {
        $isNamed = $candidates !== null;
        $candidates ??= UsualAdditions::to($balance, $style, $catalogue);
        if (!$isNamed && $complaint !== null) {
            $candidates = self::withHeat($candidates, $complaint, $balance, $catalogue);
        }
        $aim = $own ?? $style?->target;
        $aim = $aim !== null && $move !== null ? $move->apply($aim) : $aim;
        $target = $complaint?->target($balance->taste) ?? $aim;
        if ($target === null) {
            return new Advice(
                $balance->taste,
                Target::of([]),
                0.0,
                [],
                ['Nothing to aim at: choose a style, or say what is wrong ("too salty").'],
            );
        }
        if ($complaint?->isOfTexture() === true) {
            $taste = $balance->taste;

            return new Advice(
                $taste,
                $target,
                $target->distance($taste),
                Remedies::for($complaint, $balance, $target, $catalogue, $measures),
                [$complaint->says],
            );
        }
        $limits = new CorrectionLimits($candidates, $most, $capacityMillilitres, $measures);
        $advice = self::towards($target, $balance, $limits);
        if ($complaint !== null && !$isNamed) {
            $remedies = Remedies::before($complaint, $balance, $target, $catalogue, $measures);
            $advice = $advice->answering(...$remedies, ...$advice->corrections);
            if ($advice->corrections === []) {
                $advice = $advice->answering(
                    ...Remedies::secondBatch($complaint, $balance, $target, $catalogue, $measures),
                    ...Remedies::pinchOfSalt($complaint, $balance, $target, $catalogue, $measures),
                );
            }
        }

        return $complaint === null || $aim === null
            ? $advice->withMends(AxisMends::of($target, $balance, $limits))
            : $advice->besides(self::besides($complaint, $aim, $balance, $limits));
    }

    /**
     * Heat that is missing is brought by ground chilli where nothing in the recipe may bring it.
     *
     * @param list<Candidate> $candidates
     *
     * @return list<Candidate>
     */
    private static function withHeat(
        array $candidates,
        Complaint $complaint,
        Balance $balance,
        Catalogue $catalogue,
    ): array {
        $cayenne = $catalogue->get(self::GROUND_CHILLI);
        $isThere = array_filter(
            $candidates,
            static fn(Candidate $one): bool => 0.0
                < $one->ingredient->composition->mixture->get(Component::CapsaicinoidHeat),
        ) !== [];
        if (!$complaint->brings(Axis::Heat) || $isThere || !$balance->formula->isFitFor($cayenne)) {
            return $candidates;
        }
        $basics = Facts::of(KitchenBasics::class);

        return [...$candidates, Candidate::of(
            $cayenne,
            $basics->of[self::GROUND_CHILLI] / 100.0 * $balance->mixture->grams(),
            Facts::of(CorrectionCosts::class)->basic,
        )];
    }

    /** What to add to get as near as may be to a target. */
    public static function towards(Target $target, Balance $balance, CorrectionLimits $limits): Advice
    {
        $advice = CorrectionSearch::advise($balance->mixture, $target, $limits, $balance->allergens());

        return new Advice(
            $advice->before,
            $advice->target,
            $advice->distanceBefore,
            $advice->corrections,
            [...$advice->notes, ...Doubt::notes($balance, $target, $advice)],
            Alternatives::for($balance, $target, $advice),
            $limits->candidates,
        );
    }

    /** What the style would want on the axes that nobody spoke of: another offer, for another moment. */
    private static function besides(
        Complaint $complaint,
        Target $aim,
        Balance $balance,
        CorrectionLimits $limits,
    ): Advice {
        foreach ($complaint->axes() as $axis) {
            $aim = $aim->without($axis);
        }

        return CorrectionSearch::advise($balance->mixture, $aim, $limits, $balance->allergens());
    }

    /**
     * @param list<string> $keys
     *
     * @return list<Candidate> what the cook names, bounded by the room alone
     */
    public static function named(array $keys, Catalogue $catalogue): array
    {
        return array_map(static fn(string $key): Candidate => Candidate::of($catalogue->get($key)), $keys);
    }
}
