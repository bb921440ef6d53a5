<?php

declare(strict_types=1);

namespace Tests\core\Balance;

use Eris\Attributes\ErisRepeat;
use Eris\Generator\ChooseGenerator;
use Eris\Generator\SequenceGenerator;
use Eris\Generator\TupleGenerator;
use Eris\TestTrait;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;

/** What must hold for any batch whatever. */
#[ErisRepeat(60)]
final class AlwaysTrueTest extends TestCase
{
    use TestTrait;

    public function test_mass_is_conserved(): void
    {
        $this->forAll(self::batches())->then(static function (array $batch): void {
            $grams = array_sum(array_column($batch, 1));
            self::assertEqualsWithDelta(
                $grams,
                self::balance($batch)->mixture->grams(),
                1e-6 * $grams + 0.007 * $grams,
            );
        });
    }

    public function test_scaling_a_batch_leaves_its_balance_alone(): void
    {
        $this->forAll(self::batches())->then(static function (array $batch): void {
            $scaled = array_map(static fn(array $line): array => [$line[0], $line[1] * 3], $batch);
            [$once, $thrice] = [self::balance($batch), self::balance($scaled)];
            foreach (Axis::cases() as $axis) {
                self::assertEqualsWithDelta(
                    $once->taste->on($axis),
                    $thrice->taste->on($axis),
                    1e-9 * (1 + $once->taste->on($axis)),
                );
            }
            self::assertEqualsWithDelta($once->ph->value ?? 0.0, $thrice->ph->value ?? 0.0, 1e-6);
        });
    }

    public function test_water_never_raises_an_axis(): void
    {
        $this->forAll(self::batches())->then(static function (array $batch): void {
            $before = self::balance($batch)->taste;
            $after = self::balance([...$batch, [array_search('water', self::keys(), true), 50]])->taste;
            foreach (Axis::cases() as $axis) {
                self::assertLessThanOrEqual($before->on($axis) + 1e-9, $after->on($axis));
            }
        });
    }

    public function test_the_order_of_lines_does_not_matter(): void
    {
        $this->forAll(self::batches())->then(static function (array $batch): void {
            [$one, $other] = [self::balance($batch)->taste, self::balance(array_reverse($batch))->taste];
            foreach (Axis::cases() as $axis) {
                self::assertEqualsWithDelta($one->on($axis), $other->on($axis), 1e-9 * (1 + $one->on($axis)));
            }
        });
    }

    public function test_every_figure_lies_within_its_own_band(): void
    {
        $this->forAll(self::batches())->then(static function (array $batch): void {
            foreach (self::balance($batch)->axes as $reading) {
                self::assertGreaterThanOrEqual(0.0, $reading->low);
                self::assertLessThanOrEqual($reading->value, $reading->low);
                self::assertGreaterThanOrEqual($reading->value, $reading->high);
                self::assertTrue(is_finite($reading->high));
            }
        });
    }

    private static function batches(): SequenceGenerator
    {
        return new SequenceGenerator(
            new TupleGenerator([new ChooseGenerator(0, count(self::keys()) - 1), new ChooseGenerator(1, 500)]),
        );
    }

    /** @return list<string> */
    private static function keys(): array
    {
        return Catalogue::shipped()->keys();
    }

    /** @param list<array{int, int}> $batch ingredient number and grams */
    private static function balance(array $batch): Balance
    {
        $catalogue = Catalogue::shipped();
        $lines = array_map(
            static fn(array $line): ResolvedLine => ResolvedLine::ofGrams(
                $catalogue->get(self::keys()[$line[0]]),
                \Vinculum\Quantity\Amount::within((float) $line[1], 0.05),
            ),
            $batch,
        );

        return Balance::of(Formula::of($lines));
    }
}
