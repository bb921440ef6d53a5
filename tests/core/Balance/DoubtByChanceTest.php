<?php

declare(strict_types=1);

namespace Tests\core\Balance;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Acidity;
use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\MixtureChange;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Taste;

/**
 * The bands against chance itself: the same batch made two thousand times over, each time with other amounts and other
 * ingredients as their doubts allow, and counted how often it falls within what the first-order propagation calls 90 %
 * (the Monte Carlo method of the GUM's first supplement, from memory).
 */
final class DoubtByChanceTest extends TestCase
{
    private const SEED = 20261124;
    private const DRAWS = 2000;
    /**
     * What is no straight line or has a thick tail may be a little off: a product of two doubts, a power, what cannot
     * fall below nothing.
     */
    private const LEAST = 0.85;
    private const MOST = 0.95;

    /** @return iterable<string, array{list<string>}> the first reference formula of some families, without its yield */
    public static function batches(): iterable
    {
        foreach ([
            'ketchup',
            'citrus-soy',
            'fish-sauce-dip',
            'peri',
            'tomato-barbecue',
            'mustard',
            'fruit-ketchup',
            'sweet-and-sour',
            'seasoned-soy',
            'chutney',
            'relish',
            'green-salsa',
        ] as $style) {
            yield $style => [
                RecipeReader::readAll(
                    (string) file_get_contents(FactsFile::folder() . "/styles/{$style}.txt"),
                )[0]->ingredientTexts(),
            ];
        }
    }

    /** @param list<string> $texts */
    #[DataProvider('batches')]
    public function test_nine_in_ten_fall_within_the_band(array $texts): void
    {
        $formula = Formula::fromTexts($texts, Catalogue::shipped(), Measures::Us, null);
        $balance = Balance::of($formula);
        $dice = new Randomizer(new Mt19937(self::SEED));
        $within = array_fill_keys(array_map(static fn(Axis $axis): string => $axis->value, Axis::cases()), 0);
        for ($draw = 0; $draw < self::DRAWS; ++$draw) {
            $taste = Taste::ofMixture(self::draw($formula, $dice));
            foreach (Axis::cases() as $axis) {
                $reading = $balance->axes[$axis->value];
                $within[$axis->value] += $taste->on($axis) >= $reading->low - 1e-9
                    && $taste->on($axis) <= $reading->high + 1e-9
                    ? 1
                    : 0;
            }
        }
        foreach (Axis::cases() as $axis) {
            $reading = $balance->axes[$axis->value];
            if ($reading->value <= 0.0) {
                self::assertSame(self::DRAWS, $within[$axis->value], 'what is not there is surely not there');
                continue;
            }
            // a band cut off at nothing covers what its uncut twin would
            $share = $within[$axis->value] / self::DRAWS;
            self::assertGreaterThan(self::LEAST, $share, $axis->value);
            self::assertLessThan($reading->low > 0.0 ? self::MOST : 1.0, $share, $axis->value);
        }
    }

    /** @param list<string> $texts */
    #[DataProvider('batches')]
    public function test_the_acidity_too(array $texts): void
    {
        $formula = Formula::fromTexts($texts, Catalogue::shipped(), Measures::Us, null);
        $band = Balance::of($formula)->ph ?? self::fail('it has a pH');
        $dice = new Randomizer(new Mt19937(self::SEED + 1));
        $within = 0;
        for ($draw = 0; $draw < 400; ++$draw) {
            $ph = Acidity::ph(self::draw($formula, $dice)) ?? 7.0;
            $within += $ph >= $band->low && $ph <= $band->high ? 1 : 0;
        }

        self::assertGreaterThan(0.85 * 400, $within, 'a pH is never told surer than it is');
    }

    /** Another batch of the same recipe. */
    private static function draw(Formula $formula, Randomizer $dice): Mixture
    {
        return array_reduce(
            $formula->lines,
            static fn(Mixture $sum, ResolvedLine $line): Mixture => $sum->plus(self::oneOf($line, $dice)),
            Mixture::nothing(),
        );
    }

    private static function oneOf(ResolvedLine $line, Randomizer $dice): Mixture
    {
        if ($line->ingredient === null || $line->grams === null || $line->grams->value <= 0.0) {
            return Mixture::nothing();
        }
        $amounts = $line->hundredGrams->times(
            max(0.0, $line->grams->value + $line->grams->deviation * self::normal($dice)) / 100.0,
        )->amounts();
        [$factors, $weight] = [[], Mixture::of($amounts)->grams()];
        foreach ($amounts as $component => $amount) {
            $group = Component::from($component)->group();
            if ($group === 'water' || $group === 'other' || $component === Component::StrongIonDifference->value) {
                continue;
            }
            $factors[$group] ??= match (true) {
                $group === 'heat'
                    && $line->ingredient->composition->heatIsOfPods => exp(
                        log(FactsFile::named('axes')['heat']->number('pod_factor')) * self::normal($dice),
                    ),
                $group === 'buffer' => max(
                    0.0,
                    1.0 + FactsFile::named('acidity')['protein']->number('spread') * self::normal($dice),
                ),
                default => max(0.0, 1.0 + $line->ingredient->composition->grade($group)->deviation() * self::normal($dice)),
            };
            $amounts[$component] = $amount * $factors[$group];
        }
        $drawn = Mixture::of($amounts);

        // what a figure gains water loses, as far as water may; and it is as acid as such a thing is
        $water = $drawn->get(Component::Water);
        $drawn = $drawn->with(
            Component::Water,
            max(0.9 * $water, min(1.1 * $water, $water + $weight - $drawn->grams())),
        );
        $drawn = $drawn->movedBy(new MixtureChange([Component::Other->value => $weight - $drawn->grams()]));
        $acidity = $line->ingredient->composition->acidity;
        if ($acidity->ph === null) {
            return $drawn;
        }
        $wet = $line->hundredGrams->percent(Component::Water) < 30.0
            ? $drawn->plus(Mixture::of([Component::Water->value => 9.0 * $weight]))
            : $drawn;

        return $drawn->with(
            Component::StrongIonDifference,
            Acidity::strongIonDifferenceFor($wet, $acidity->ph + $acidity->deviation * self::normal($dice)),
        );
    }

    /** Box and Muller's way to a standard normal number. */
    private static function normal(Randomizer $dice): float
    {
        $even = static fn(): float => ($dice->getInt(0, 2 ** 31 - 1) + 0.5) / 2 ** 31;

        return sqrt(-2.0 * log($even())) * cos(2.0 * M_PI * $even());
    }
}
