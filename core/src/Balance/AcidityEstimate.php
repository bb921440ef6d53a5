<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Chemistry\Acidity;
use Vinculum\Chemistry\AcidityFacts;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Facts\Facts;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Amount;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;

/**
 * The pH of a formula by charge balance, with how far it may be off; or why it cannot be told. A wrong low pH is the
 * most dangerous figure there is: what is not known makes it unknown, and every doubt counts.
 */
final readonly class AcidityEstimate
{
    private const NEUTRAL = 7.0;
    private const MOST_NAMED = 3;

    private function __construct(public ?Estimate $reading, public ?string $note) {}

    /** @param Mixture $mixture of the formula, finished where it is */
    public static function of(Formula $formula, Mixture $mixture, DoubtPropagation $doubt): self
    {
        $ph = Acidity::ph($mixture);
        if ($mixture->grams() <= 0.0) {
            return new self(null, null);
        }
        if ($ph === null) {
            return new self(null, 'No pH: nothing in it is an acid the model knows, or there is too little water.');
        }
        $hidden = self::hiddenBy($formula, $mixture);
        if ($hidden !== null) {
            return new self(null, $hidden);
        }

        return new self(self::reading($formula, $mixture, $ph, $doubt), null);
    }

    private static function reading(Formula $formula, Mixture $mixture, float $ph, DoubtPropagation $doubt): Estimate
    {
        $charge = $doubt->aboutSum(Acidity::chargesAt($mixture, $ph));
        $milk = self::milkUpward($formula, $ph);
        $at = static fn(float $more): float => Acidity::ph(
            $mixture->with(Component::StrongIonDifference, $mixture->get(Component::StrongIonDifference) + $more),
        ) ?? $ph;
        [$least, $most] = self::betweenItsParts($formula);
        $half = Facts::of(AcidityFacts::class)->ph->leastHalfBand;
        [$fewer, $more] = self::saltsOfPlants($formula, $mixture, $ph);
        $low = min($ph - $half, max($least, $at(-hypot($charge->low, $fewer))));
        // no mixture is surely more acid than every acid part of it
        $high = max(
            $ph + $half,
            min($most, $at(hypot(hypot($charge->high, $milk), $more))),
            self::mostAcidPart($formula) ?? $ph,
        );

        return new Estimate($ph, max(0.0, $low), min(14.0, $high), $charge->shares, $charge->amountShares);
    }

    /**
     * Which lines hide the pH, in words; null where none does: a line that is not understood, or foods whose own pH
     * nobody stated and that bring much protein or much of what buffers.
     */
    private static function hiddenBy(Formula $formula, Mixture $mixture): ?string
    {
        $facts = Facts::of(AcidityFacts::class)->unknown;
        [$unread, $hiding, $protein, $buffering, $unsalted] = [[], [], 0.0, 0.0, 0.0];
        foreach ($formula->ingredientLines() as $line) {
            if ($line->status === LineStatus::Unknown) {
                $unread[] = $line->text();
            } elseif ($line->countsInTheMixture() && $line->ingredient?->composition->acidity->isKnown === false) {
                $hiding[] = $line->text();
                $protein += $line->mixture()->get(Component::Protein);
                $buffering += self::buffers($line->mixture());
            } elseif ($line->countsInTheMixture() && $line->ingredient?->lacksItsSalts() === true) {
                $hiding[] = $line->text();
                $unsalted += $line->mixture()->grams();
            }
        }
        // what lies on the edge must not fall to either side by the last binary digit
        $isOver = static fn(float $part, float $whole, float $share): bool => $part > $share * $whole * (1.0 + 1e-9);
        $isHidden = $isOver($protein, $mixture->grams(), $facts->proteinOver / 100.0)
            || $isOver($buffering, self::buffers($mixture), $facts->bufferingOver)
            || $isOver($unsalted, $mixture->grams(), $facts->saltsOver);
        $by = [...$unread, ...($isHidden ? $hiding : [])];
        if ($by === []) {
            return null;
        }
        $named = implode(
            ', ',
            array_map(
                static fn(string $text): string => '"' . mb_strimwidth(trim($text), 0, 40, '…') . '"',
                array_slice($by, 0, self::MOST_NAMED),
            ),
        );

        return sprintf(
            'The pH is not known: how acid %s%s is, nobody stated. Measure it with a calibrated meter; until then it counts as low in acid.',
            $named,
            count($by) > self::MOST_NAMED ? ' and ' . (count($by) - self::MOST_NAMED) . ' more' : '',
        );
    }

    /** What takes up or gives off acid, in mEq. */
    private static function buffers(Mixture $mixture): float
    {
        return $mixture->weighted(
            array_diff_key(Acidity::titrationWeights(), [Component::StrongIonDifference->value => 1]),
        );
    }

    /**
     * A mixture lies between its parts: no lower than the most acid of them at its lowest, no higher than the least
     * acid at its highest. What does not buffer counts as neutral.
     *
     * @return array{float, float}
     */
    private static function betweenItsParts(Formula $formula): array
    {
        [$least, $most] = [INF, -INF];
        foreach (self::ingredientsIn($formula) as $ingredient) {
            $ph = $ingredient->composition->acidity->ph ?? self::NEUTRAL;
            $half = Amount::NINETY_PERCENT * $ingredient->composition->acidity->deviation;
            $least = min($least, $ph - $half);
            $most = max($most, $ph + $half);
        }

        return [$least, $most];
    }

    /** The lowest pH of a part by itself; null where none buffers. */
    private static function mostAcidPart(Formula $formula): ?float
    {
        $all = array_filter(
            array_map(
                static fn(Ingredient $one): ?float => $one->composition->acidity->ph,
                self::ingredientsIn($formula),
            ),
            static fn(?float $ph): bool => $ph !== null,
        );

        return $all === [] ? null : min($all);
    }

    /** mEq by which soured milk may buffer more than the model has it. */
    private static function milkUpward(Formula $formula, float $ph): float
    {
        $more = 0.0;
        foreach ($formula->ingredientLines() as $line) {
            $acidity = $line->ingredient?->composition->acidity;
            if (
                $acidity?->ph !== null
                && $line->countsInTheMixture()
                && in_array('dairy', $line->ingredient->kinds, true)
                && $acidity->ph > $ph
            ) {
                foreach (Acidity::chargesAt($line->mixture(), $ph) as $component => $each) {
                    $amount = $line->mixture()->get(Component::from($component));
                    $more += $component === Component::StrongIonDifference->value
                        ? 0.0
                        : $amount * ($each - ($acidity->charges[$component] ?? $each));
                }
            }
        }

        return Facts::of(AcidityFacts::class)->milk->upward * $more;
    }

    /**
     * How much less, and more, acid the plants in it may take up than their rows have it, in mEq, where all of them leave
     * the least, or the most, of their minerals: as salts of malic acid, which leave each of them as acid as it is.
     *
     * @return array{float, float}
     */
    private static function saltsOfPlants(Formula $formula, Mixture $mixture, float $ph): array
    {
        $malic = Component::Malic->value;
        $chargeHere = Acidity::chargesAt($mixture, $ph)[$malic];
        [$fewer, $more] = [0.0, 0.0];
        foreach ($formula->ingredientLines() as $line) {
            $composition = $line->ingredient?->composition;
            $charge = $composition?->acidity->charges[$malic] ?? 0.0;
            if (
                $composition?->minerals === null
                || !$line->countsInTheMixture()
                || $composition->acidity->ph <= $ph
                || $charge === 0.0
            ) {
                continue;
            }
            $hundreds = ($line->grams->value ?? 0.0) / 100.0;
            $has = $composition->mixture->get(Component::StrongIonDifference);
            $eachFree = $hundreds * (1.0 - $chargeHere / $charge);
            $more += $eachFree * max(0.0, $composition->minerals->most - $has);
            $fewer += $eachFree * max(0.0, $has - $composition->minerals->least);
        }

        return [$fewer, $more];
    }

    /** @return list<Ingredient> */
    private static function ingredientsIn(Formula $formula): array
    {
        $counted = array_filter(
            $formula->ingredientLines(),
            static fn(ResolvedLine $line): bool => $line->countsInTheMixture() && ($line->grams->value ?? 0.0) > 0.0,
        );

        return array_values(
            array_filter(array_map(static fn(ResolvedLine $line): ?Ingredient => $line->ingredient, $counted)),
        );
    }
}
