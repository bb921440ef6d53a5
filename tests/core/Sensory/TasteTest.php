<?php

declare(strict_types=1);

namespace Tests\core\Sensory;

use PHPUnit\Framework\TestCase;
use Vinculum\Chemistry\Mixture;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TargetWindow;
use Vinculum\Sensory\Taste;

final class TasteTest extends TestCase
{
    public function test_umami_synergy_by_hand_from_the_equation_of_yamaguchi(): void
    {
        $taste = Taste::ofMixture(Mixture::of(['water' => 99.9, 'glutamate' => 0.05, 'imp' => 0.05]));

        self::assertEqualsWithDelta(0.05 + 1218 * 0.05 * 0.05, $taste->umami, 1e-9);
        self::assertEqualsWithDelta(3.095, $taste->umami, 1e-9);
    }

    public function test_nucleotides_alone_are_not_umami(): void
    {
        self::assertSame(0.0, Taste::ofMixture(Mixture::of(['water' => 99.0, 'imp' => 1.0]))->umami);
    }

    public function test_sweetness_weighs_each_sugar(): void
    {
        $taste = Taste::ofMixture(
            Mixture::of([
                'water' => 60.0,
                'sucrose' => 10.0,
                'glucose' => 10.0,
                'fructose' => 10.0,
                'maltose' => 5.0,
                'lactose' => 5.0,
            ]),
        );

        self::assertEqualsWithDelta(10.0 + 7.0 + 12.0 + 2.0 + 1.0, $taste->sweet, 1e-9);
    }

    public function test_five_per_cent_vinegar_is_about_five_sour(): void
    {
        self::assertEqualsWithDelta(
            5.0,
            Taste::ofMixture(Catalogue::shipped()->get('white-vinegar')->grams(100.0))->sour,
            0.05,
        );
    }

    public function test_base_left_over_is_not_less_than_no_sourness(): void
    {
        self::assertSame(0.0, Taste::ofMixture(Catalogue::shipped()->get('bicarbonate')->grams(5.0))->sour);
    }

    public function test_heat_counts_pepper_and_ginger_beside_chilli(): void
    {
        $catalogue = Catalogue::shipped();
        $water = Mixture::of(['water' => 990.0]);
        // a hundredth of something of N SHU makes N/100
        foreach (['cayenne' => 350.0, 'black-pepper' => 55.0] as $key => $shu) {
            self::assertEqualsWithDelta(
                $shu,
                Taste::ofMixture($water->plus($catalogue->get($key)->grams(10.0)))->heat,
                1e-6,
                $key,
            );
        }
    }

    public function test_one_step_is_one_weber_fraction(): void
    {
        // Schutz and Pilgrim 1957, from memory: salt .15, sweet .17, sour .22
        foreach (['salt' => 1.15, 'sweet' => 1.17, 'sour' => 1.22, 'umami' => 1.21, 'heat' => 1.35] as $key => $ratio) {
            $axis = Axis::from($key);
            self::assertEqualsWithDelta(1.0, $axis->steps(50.0 * $ratio) - $axis->steps(50.0), 1e-9, $key);
            self::assertSame(0.0, $axis->steps(0.0));
            self::assertSame(0.0, $axis->steps($axis->threshold() / 2.0));
            self::assertEqualsWithDelta(7.0, $axis->steps($axis->valueAt(7.0)), 1e-9);
        }
    }

    public function test_a_window_gives_nothing_inside_and_signed_steps_outside(): void
    {
        $window = TargetWindow::between(1.0, 2.0);

        self::assertSame(0.0, $window->off(Axis::Salt, 1.5));
        self::assertEqualsWithDelta(1.0, $window->off(Axis::Salt, 2.3), 1e-9);
        self::assertEqualsWithDelta(-1.0, $window->off(Axis::Salt, 1.0 / 1.15), 1e-9);
        self::assertSame(
            0.0,
            TargetWindow::between(0.0, 2.0)->off(Axis::Salt, 0.0),
            'a window from 0 knows no too little',
        );
    }

    public function test_a_window_turned_round_cannot_be(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        TargetWindow::between(2.0, 1.0);
    }

    public function test_distance_is_the_root_of_the_squares_and_an_axis_let_go_does_not_count(): void
    {
        $taste = Taste::of(10.0, 1.0, 2.0 * 1.15 ** 3, 0.0, 10.0 * 1.35 ** 4);
        $both = Target::of(['salt' => TargetWindow::between(1.0, 2.0), 'heat' => TargetWindow::between(0.0, 10.0)]);

        self::assertEqualsWithDelta(5.0, $both->distance($taste), 1e-9);
        self::assertEqualsWithDelta(
            3.0,
            Target::of(['salt' => TargetWindow::between(1.0, 2.0)])->distance($taste),
            1e-9,
        );
        self::assertSame(0.0, Target::of([])->distance($taste));
    }
}
