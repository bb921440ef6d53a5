<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Balance\Formula;
use Vinculum\Balance\Yielded;
use Vinculum\Mixture\Component;
use Vinculum\Mixture\Volume;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\KitchenNumber;

/** How far a formula is cooked by its own method in a pan, where nobody measured what it came to. */
final readonly class TimedCook
{
    /** No estimate takes more of the water than this: a sauce scorches first. */
    private const MOST_OF_THE_WATER = 0.85;

    /** @param list<string> $notes */
    private function __construct(public Formula $formula, public array $notes) {}

    /**
     * The formula with the yield that its timed steps make likely; as it is, where it has a yield, no pan, or no time.
     *
     * @param list<MethodStep> $steps
     */
    public static function of(Formula $formula, ?Pan $pan, array $steps): self
    {
        $mixed = $formula->mixed();
        $water = $mixed->get(Component::Water);
        if ($pan === null || $formula->yieldText !== null || $formula->yield !== null || $water <= 0.0) {
            return new self($formula, []);
        }
        [$gone, $variance, $isTimed] = [0.0, 0.0, false];
        foreach ($steps as $step) {
            $evaporates = $pan->squareMetres === null ? null : $step->evaporates($pan->squareMetres);
            if ($step->kind === 'reduce' && $step->left !== null) {
                // "by a quarter" is of the volume in the pan at that time
                $now = $mixed->with(Component::Water, max(0.0, $water - $gone));
                $loss = min($water - $gone, Volume::waterToLose($now, $step->left * Volume::millilitres($now)));
                [$gone, $variance, $isTimed] = [$gone + $loss, $variance + (0.1 * $loss) ** 2, true];
            } elseif ($evaporates !== null) {
                $gone += $evaporates['value'];
                $variance += (($evaporates['high'] - $evaporates['low']) / 2.0 / Amount::NINETY_PERCENT) ** 2;
                $isTimed = true;
            }
        }
        if (!$isTimed || $gone < 0.5) {
            return new self($formula, []);
        }
        $most = self::MOST_OF_THE_WATER * $water;
        $notes = $gone > $most ? [sprintf('By its times and this pan %s of water would leave, and there are %s: it would scorch first. The figures are for %s.', KitchenNumber::grams($gone), KitchenNumber::grams($water), KitchenNumber::grams($most))] : [];
        $gone = min($gone, $most);
        $deviation = min(sqrt($variance), 0.5 * $gone);
        $notes[] = sprintf('By its times and this pan about %s of water leaves (%s to %s): an estimate for a hob nobody has measured. Weigh the pan at the end and write "Yield:" to be sure.', KitchenNumber::grams($gone), KitchenNumber::grams(max(0.0, $gone - Amount::NINETY_PERCENT * $deviation)), KitchenNumber::grams($gone + Amount::NINETY_PERCENT * $deviation));

        return new self($formula->cookedTo(Yielded::estimated($mixed->grams() - $gone, $deviation)), $notes);
    }
}
