<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Correction\JndAdjustment;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Writing\AmountWriter;

final class JndAdjustmentTest extends TestCase
{
    private const SAUCE = [
        '400 g tinned tomatoes',
        '100 g ketchup',
        '80 ml cider vinegar',
        '60 g light brown sugar',
        '10 g salt',
        '4 g cayenne',
        '30 ml soy sauce',
        '200 ml water',
    ];

    /** What a shifted arrow key does is about one noticeable difference on some axis, as near as the notches allow. */
    public function test_a_step_is_what_a_tongue_can_just_notice(): void
    {
        $formula = self::formula(self::SAUCE);
        $before = Balance::of($formula)->taste;
        foreach (array_keys(self::SAUCE) as $line) {
            foreach ([1, -1] as $direction) {
                $text = JndAdjustment::of($formula, $line, $direction, Measures::Metric);
                self::assertNotSame(self::SAUCE[$line], $text);
                $after = Balance::of(self::formula(array_replace(self::SAUCE, [$line => $text])));
                $grams = $after->formula->lines[$line]->grams->value ?? 0.0;
                $was = $formula->lines[$line]->grams->value ?? 0.0;
                self::assertSame($direction, $grams <=> $was, $text);
                $most = max(array_map(abs(...), $before->stepsTo($after->taste)));
                $isNotch = $text === AmountWriter::notched($formula->lines[$line], $direction, Measures::Metric);
                self::assertTrue(
                    $isNotch || ($most > 0.6 && $most < 1.7),
                    sprintf('%s → %s moves %.2f', self::SAUCE[$line], $text, $most),
                );
            }
        }
    }

    public function test_what_tastes_of_nothing_goes_by_a_notch(): void
    {
        $formula = self::formula(['500 g water', '1 tsp dried thyme', '10 g salt', 'salt to taste', '3 tbsp zorp']);

        self::assertSame('1¼ tsp dried thyme', JndAdjustment::of($formula, 1, 1, Measures::Metric));
        self::assertSame('⅛ tsp salt to taste', JndAdjustment::of($formula, 3, 1, Measures::Metric));
        self::assertSame('3 tbsp zorp', JndAdjustment::of($formula, 4, -1, Measures::Metric));
    }

    public function test_the_step_is_of_the_finished_sauce_where_a_yield_is_known(): void
    {
        $lines = ['500 g water', '20 g salt'];
        $open = JndAdjustment::of(self::formula($lines), 1, 1, Measures::Metric);
        $reduced = JndAdjustment::of(
            Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric, '200 g'),
            1,
            1,
            Measures::Metric,
        );

        self::assertEqualsWithDelta(23.0, (float) $open, 1.1, 'a step of salt is 15 %');
        self::assertEqualsWithDelta(23.0, (float) $reduced, 1.6);
    }

    /** @param list<string> $lines */
    private static function formula(array $lines): Formula
    {
        return Formula::fromTexts(array_values($lines), Catalogue::shipped(), Measures::Metric);
    }
}
