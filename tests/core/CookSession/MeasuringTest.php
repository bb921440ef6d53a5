<?php

declare(strict_types=1);

namespace Tests\core\CookSession;

use PHPUnit\Framework\TestCase;
use Vinculum\CookSession\MeasureTask;
use Vinculum\CookSession\MeasuringOrder;
use Vinculum\Ingredient\Texture;

/**
 * "Largest amount first, wet before dry, all that share one spoon together and from big spoon to small" (handbook, part
 * A).
 */
final class MeasuringTest extends TestCase
{
    public function test_the_order_a_cook_measures_in(): void
    {
        $items = [
            self::item(0, 'salt', 6.0, '1 tsp', Texture::Fine),
            self::item(1, 'water', 300.0, '300 g', Texture::Liquid),
            self::item(2, 'sugar', 500.0, '500 g', Texture::Fine),
            self::item(3, 'honey', 21.0, '1 tbsp', Texture::Liquid),
            self::item(4, 'vinegar', 700.0, '700 g', Texture::Liquid),
            self::item(5, 'paprika', 14.0, '2 tbsp', Texture::Fine),
            self::item(6, 'soy sauce', 6.0, '1 tsp', Texture::Liquid),
            self::item(7, 'basil', 900.0, '900 g', Texture::Coarse, 1),
        ];

        self::assertSame(
            ['vinegar', 'water', 'sugar', 'honey', 'paprika', 'soy sauce', 'salt', 'basil'],
            array_map(static fn(MeasureTask $item): string => $item->name, MeasuringOrder::inOrder($items)),
        );
    }

    public function test_the_spoon_a_measure_needs(): void
    {
        self::assertSame(
            ['tablespoon', 'teaspoon', null, null],
            array_map(MeasuringOrder::spoon(...), ['1½ tbsp', '¼ tsp', '40 g', '3 cloves, about 12 g']),
        );
    }

    private static function item(
        int $line,
        string $name,
        float $grams,
        string $measure,
        Texture $texture,
        int $stage = 0,
    ): MeasureTask {
        return new MeasureTask($line, $stage, $name, $grams, $measure, $texture);
    }
}
