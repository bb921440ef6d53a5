<?php

declare(strict_types=1);

namespace Tests\core\Keeping;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Keeping\Caution;
use Vinculum\Keeping\Cautions;
use Vinculum\Quantity\Measures;

final class CautionsTest extends TestCase
{
    public function test_cautions_follow_from_what_is_in_it(): void
    {
        $cases = [
            'low-acid-in-oil' => [['200 g olive oil', '4 cloves garlic'], ['200 g water', '4 cloves garlic']],
            'raw-egg' => [['2 egg yolks', '200 g oil'], ['200 g mayonnaise']],
            'honey-infants' => [['100 g honey'], ['100 g sugar']],
            'alcohol' => [['100 g red wine'], ['100 g red wine vinegar']],
            'near-ph-limit' => [['500 g red pepper', '20 g lemon juice'], ['100 g white vinegar']],
            'hot-sugar' => [['100 g sugar', '100 g water'], ['10 g sugar', '100 g water']],
            'chilli-fumes' => [['100 g red chilli', '100 g water'], ['1 g red chilli', '100 g water']],
        ];
        foreach ($cases as $code => [$with, $without]) {
            self::assertContains($code, self::codes($with), $code);
            self::assertNotContains($code, self::codes($without), "{$code} where it does not belong");
        }
    }

    public function test_every_sauce_is_told_to_stay_cold_and_the_gravest_comes_first(): void
    {
        $cautions = self::cautions(['200 g olive oil', '4 cloves garlic', '20 g honey']);

        self::assertContains(
            'no-room-temperature',
            array_map(static fn(Caution $one): string => $one->code, $cautions),
        );
        self::assertSame('stop', $cautions[0]->severity);
        self::assertSame([], self::cautions(['zorp']));
    }

    /**
     * @param list<string> $lines
     *
     * @return list<string>
     */
    private static function codes(array $lines): array
    {
        return array_map(static fn(Caution $one): string => $one->code, self::cautions($lines));
    }

    /**
     * @param list<string> $lines
     *
     * @return list<Caution>
     */
    private static function cautions(array $lines): array
    {
        return Cautions::for(Balance::of(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Us)));
    }
}
