<?php

declare(strict_types=1);

namespace Tests\core\Style;

use PHPUnit\Framework\TestCase;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Sensory\Axis;
use Vinculum\Style\StyleBook;
use Vinculum\Style\TargetRangeDerivation;

final class StyleBookTest extends TestCase
{
    /** The keys that the command-line contract promises. */
    private const PROMISED = [
        'tomato-barbecue',
        'vinegar-barbecue',
        'mustard-barbecue',
        'white-barbecue',
        'fruit-soy-glaze',
        'ketchup',
        'curry-ketchup',
        'sweet-and-sour',
        'fish-sauce-dip',
        'seasoned-soy',
        'teriyaki-glaze',
        'peanut-sauce',
        'pepper-nut-dip',
        'green-salsa',
        'herb-oil-sauce',
        'honey-mustard',
        'remoulade',
        'sesame-dressing',
        'vinaigrette',
        'hot-sauce',
        'mustard',
        'chutney',
        'fruit-ketchup',
        'mint-sauce',
        'citrus-soy',
        'brown-sauce',
        'relish',
        'peri',
        'cocktail-sauce',
    ];

    public function test_every_promised_style_is_there(): void
    {
        foreach (self::PROMISED as $key) {
            self::assertTrue(StyleBook::has($key), $key);
        }
    }

    public function test_windows_are_the_span_of_at_least_three_references_padded_by_a_step(): void
    {
        foreach (StyleBook::all() as $style) {
            $references = TargetRangeDerivation::references($style->key, Catalogue::shipped());
            self::assertGreaterThanOrEqual(3, count($references), $style->key);
            self::assertCount($style->references, $references);
            foreach (TargetRangeDerivation::windows($references) as $axis => $window) {
                self::assertEquals(
                    $window,
                    $style->target->window(Axis::from($axis)),
                    "{$style->key} {$axis}: run bin/derive-windows",
                );
            }
            foreach ($references as $reference) {
                self::assertLessThan(0.02, $style->target->distance($reference), $style->key);
            }
        }
    }

    public function test_padding_is_exactly_one_step(): void
    {
        foreach (TargetRangeDerivation::references('tomato-barbecue', Catalogue::shipped()) as $reference) {
            $salts[] = $reference->salt;
        }
        $window = StyleBook::get('tomato-barbecue')->target->window(Axis::Salt);

        self::assertEqualsWithDelta(min($salts ?? [0.0]) / 1.15, $window?->low, 0.01);
        self::assertEqualsWithDelta(max($salts ?? [0.0]) * 1.15, $window?->high, 0.01);
    }

    public function test_bases_and_correctors_are_in_the_catalogue(): void
    {
        foreach (StyleBook::all() as $style) {
            foreach ([$style->base, ...$style->correctors] as $key) {
                self::assertTrue(Catalogue::shipped()->has($key), "{$style->key}: {$key}");
            }
        }
    }
}
