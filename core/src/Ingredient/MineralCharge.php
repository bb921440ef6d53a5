<?php

declare(strict_types=1);

namespace Vinculum\Ingredient;

use Vinculum\Chemistry\AcidityFacts;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\PlantSaltFacts;
use Vinculum\Facts\Facts;
use Vinculum\Facts\FactsFault;

/**
 * The strong ions of 100 g of a plant, K + Na + 2 Ca + 2 Mg − Cl in mEq, and how much of them its strong ion difference
 * may be: what acid is added must overcome so many anions first.
 */
final readonly class MineralCharge
{
    /** What has no more water than this, per cent, has its calcium bound, of which some may yet dissolve. */
    private const DRY_TO_WATER = 30.0;

    /**
     * @param float $least mEq in 100 g that its strong ion difference is at least
     * @param float $most likewise, at most
     */
    private function __construct(public float $least, public float $most) {}

    /**
     * "21.3", or "21.3 by kind" where no table has this very thing.
     *
     * @param Mixture $hundredGrams that has them
     *
     * @throws FactsFault when it is neither
     */
    public static function read(string $text, Mixture $hundredGrams): self
    {
        if (preg_match('/^(\d+(?:\.\d+)?)( by kind)?$/', $text, $found) !== 1) {
            throw FactsFault::notANumber('minerals', 'minerals', $text);
        }
        $facts = Facts::of(AcidityFacts::class)->plantSalts;
        $isLoose = isset($found[2]) || $hundredGrams->percent(Component::Water) < self::DRY_TO_WATER;

        return new self(
            $facts->least * (float) $found[1],
            ($isLoose ? $facts->mostByKind : $facts->most) * (float) $found[1] + self::ofProtein($facts, $hundredGrams),
        );
    }

    /** Of what was made of things that have theirs. */
    public static function carriedBy(Mixture $hundredGrams): self
    {
        $charge = $hundredGrams->get(Component::StrongIonDifference);

        return new self($charge, $charge);
    }

    private static function ofProtein(PlantSaltFacts $facts, Mixture $hundredGrams): float
    {
        return $facts->mostBasicGroups * $hundredGrams->get(Component::Protein);
    }
}
