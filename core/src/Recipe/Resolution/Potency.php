<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;
use Vinculum\Ingredient\Ingredient;

/**
 * A thing at another strength than usual: vinegar by its acid, spirit by its alcohol, cream by its fat, chocolate by
 * its cocoa.
 */
final readonly class Potency
{
    /** Grams in a millilitre of ethanol at 20 °C. */
    private const ETHANOL_DENSITY = 0.789;

    private function __construct(public Mixture $mixture, public string $note) {}

    /** @return self|null null where a percentage says nothing of such a thing, or says what cannot be */
    public static function of(Ingredient $ingredient, float $percent): ?self
    {
        $kinds = $ingredient->kinds;

        return match (true) {
            $percent <= 0.0 || $percent > 100.0 => null,
            $percent > self::most($ingredient) => null,
            in_array('vinegar', $kinds, true) => self::vinegar($ingredient->composition->mixture, $percent),
            in_array('alcohol', $kinds, true) => self::alcohol($ingredient->composition->mixture, $percent),
            in_array('dairy', $kinds, true) => self::fat($ingredient->composition->mixture, $percent),
            $ingredient->kind() === 'chocolate' => self::chocolate($ingredient->composition->mixture, $percent),
            default => null,
        };
    }

    /** More than this is no strength of such a thing but its share of a batch. */
    private static function most(Ingredient $ingredient): float
    {
        $facts = Facts::of(PotencyFacts::class);
        $own = $ingredient->composition->mixture;

        return match (true) {
            in_array('vinegar', $ingredient->kinds, true) => $facts->mostAcid,
            in_array('alcohol', $ingredient->kinds, true)
                => $own->percent(Component::Ethanol) < $facts->brewedUnder ? $facts->mostBrewed : $facts->mostSpirit,
            in_array('dairy', $ingredient->kinds, true)
                => min($facts->mostFat, max($facts->leastFat, $facts->timesItsFat * $own->percent(Component::Fat))),
            default => 100.0,
        };
    }

    /** Grams of acid in 100 ml, which is what a label states; its other parts and its charge go with the acid. */
    private static function vinegar(Mixture $mixture, float $percent): ?self
    {
        $acids = Component::acids();
        $there = array_sum(array_map(static fn(string $acid): float => $mixture->get(Component::from($acid)), $acids));
        if ($there <= 0.0) {
            return null;
        }
        foreach ([...$acids, Component::StrongIonDifference->value] as $one) {
            $mixture = $mixture->with(Component::from($one), $mixture->get(Component::from($one)) * $percent / $there);
        }

        return new self(self::filledUp($mixture), sprintf('taken at %s %% acid', self::number($percent)));
    }

    /** Per cent by volume. */
    private static function alcohol(Mixture $mixture, float $percent): self
    {
        // the density of the mixture falls from 1 to that of ethanol
        $density = 1.0 - (1.0 - self::ETHANOL_DENSITY) * $percent / 100.0;

        return new self(
            self::filledUp($mixture->with(Component::Ethanol, self::ETHANOL_DENSITY * $percent / $density)),
            sprintf('taken at %s %% alcohol', self::number($percent)),
        );
    }

    private static function fat(Mixture $mixture, float $percent): self
    {
        $rest = $mixture->with(Component::Fat, 0.0);

        return new self(
            $rest->times((100.0 - $percent) / max(1.0, $rest->grams()))->with(Component::Fat, $percent),
            sprintf('taken at %s %% fat', self::number($percent)),
        );
    }

    /** What is not cocoa is sugar. */
    private static function chocolate(Mixture $mixture, float $percent): self
    {
        $cocoa = $mixture->with(Component::Sucrose, 0.0);

        return new self(
            $cocoa->times($percent / max(1.0, $cocoa->grams()))->with(Component::Sucrose, 100.0 - $percent),
            sprintf('taken at %s %% cocoa', self::number($percent)),
        );
    }

    private static function filledUp(Mixture $mixture): Mixture
    {
        return $mixture->with(Component::Water, max(0.0, $mixture->get(Component::Water) + 100.0 - $mixture->grams()));
    }

    private static function number(float $percent): string
    {
        return rtrim(rtrim(sprintf('%.1f', $percent), '0'), '.');
    }
}
