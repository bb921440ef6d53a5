<?php

declare(strict_types=1);

namespace Tests\core\CookSession;

use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Mixture;
use Vinculum\CookSession\Rebalance;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Taste;

final class RebalanceTest extends TestCase
{
    use TestTrait;

    private const LINES = [
        '600 g tomatoes',
        '120 g sugar',
        '100 ml cider vinegar',
        '12 g salt',
        '20 ml soy sauce',
        '1 g cayenne',
    ];

    public function test_over_poured_first_the_rest_in_proportion_is_the_same_sauce_and_more_of_it(): void
    {
        [, $proportion, $solved] = Rebalance::ways(self::lines(), [0 => 720.0]);

        foreach ([1 => 144.0, 3 => 14.4, 5 => 1.2] as $line => $grams) {
            self::assertEqualsWithDelta($grams, $proportion->grams[$line], 1e-2 * $grams);
        }
        self::assertLessThan(0.02, $proportion->away);
        self::assertLessThan(0.1, $solved->away);
    }

    public function test_what_is_in_is_never_asked_for_again_and_nothing_is_taken_out(): void
    {
        $ways = Rebalance::ways(self::lines(), [0 => 600.0, 3 => 30.0]);

        foreach ($ways as $way) {
            self::assertSame([1, 2, 4, 5], array_keys($way->grams));
            self::assertGreaterThanOrEqual(0.0, min($way->grams));
        }
        self::assertEqualsWithDelta(120.0, $ways[0]->grams[1], 1e-6, 'as planned');
    }

    public function test_under_poured_counts_too(): void
    {
        [$planned, , $solved] = Rebalance::ways(self::lines(), [2 => 50.0]);

        self::assertLessThan(0.0, $planned->changeSteps['sour']);
        self::assertLessThan($planned->away, $solved->away);
    }

    /** The change that is told is the change that happens when the amounts told are mixed. */
    public function test_what_it_says_is_what_comes_of_it(): void
    {
        $lines = self::lines();
        $this->limitTo(40)->forAll(
            Generators::choose(0, 5),
            Generators::choose(20, 300),
        )->then(function (int $line, int $percent) use ($lines): void {
            $actual = [$line => ($lines[$line]->grams->value ?? 0.0) * $percent / 100.0];
            $ways = Rebalance::ways($lines, $actual);
            $wanted = self::mix($lines, []);
            foreach ($ways as $way) {
                $told = $wanted->stepsTo(self::mix($lines, $way->grams + $actual));
                foreach ($told as $axis => $steps) {
                    self::assertEqualsWithDelta($steps, $way->changeSteps[$axis], 1e-6);
                }
            }
            self::assertLessThanOrEqual(
                $ways[0]->away + 1e-9,
                $ways[1]->away,
                'in proportion is never worse than leaving it',
            );
            self::assertLessThanOrEqual(
                $ways[1]->away + 0.2,
                $ways[2]->away,
                'solving is never worse than that, but for the price of change',
            );
        });
    }

    /** @return array<int, ResolvedLine> */
    private static function lines(): array
    {
        return Formula::fromTexts(self::LINES, Catalogue::shipped(), Measures::Metric)->lines;
    }

    /**
     * @param array<int, ResolvedLine> $lines
     * @param array<int, float> $grams
     */
    private static function mix(array $lines, array $grams): Taste
    {
        $sum = Mixture::nothing();
        foreach ($lines as $number => $line) {
            $sum = $sum->plus($line->hundredGrams->times(($grams[$number] ?? $line->grams->value ?? 0.0) / 100.0));
        }

        return Taste::ofMixture($sum);
    }
}
