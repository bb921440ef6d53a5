<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\Mend;

final class MendTest extends TestCase
{
    public function test_names_that_mean_two_things_are_offered_as_a_choice_the_likelier_first(): void
    {
        $cases = [
            '2 tbsp tomato purée' => ['passata', 'tomato-paste'],
            '1 tbsp treacle' => ['molasses', 'golden-syrup'],
            '1 tsp chilli powder' => ['chilli-powder', 'cayenne'],
            '1 tbsp light soy sauce' => ['soy-sauce', 'reduced-salt-soy-sauce'],
            '50 g breadcrumbs' => ['breadcrumbs', 'dried-breadcrumbs'],
            '1 tbsp horseradish' => ['horseradish', 'fresh-horseradish'],
            '1 tsp mustard' => ['dijon-mustard', 'yellow-mustard'],
            '100 ml stock' => ['stock', 'stock-cube'],
        ];
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
        foreach ($cases as $text => [$likelier, $other]) {
            $line = $resolver->resolve($text);
            self::assertSame($likelier, $line->ingredient?->key, $text);
            self::assertContains($other, $line->alternatives, $text);
            $texts = array_map(static fn(Mend $mend): string => $mend->text, Mend::for($line, Catalogue::shipped()));
            $again = array_map(
                static fn(string $mended): ?string => $resolver->resolve($mended)->ingredient?->key,
                $texts,
            );
            self::assertContains($other, $again, "{$text}: the mended line means the other thing");
        }
    }

    public function test_an_assumed_amount_is_offered_as_a_weight_that_reads_back(): void
    {
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
        foreach ([
            '1 onion',
            '3 cloves garlic',
            'juice of half a lemon',
            'a glug of olive oil',
            '1 tin chopped tomatoes',
            '1 bunch parsley',
        ] as $text) {
            $line = $resolver->resolve($text);
            $mends = Mend::for($line, Catalogue::shipped());
            $weighed = end($mends);
            self::assertNotFalse($weighed, $text);
            self::assertStringStartsWith('weighed, about', $weighed->says);
            $again = $resolver->resolve($weighed->text);
            self::assertSame('measured', $again->status->value, $weighed->text);
            self::assertEqualsWithDelta(
                $line->grams?->value,
                $again->grams?->value,
                0.06 * ($line->grams->value ?? 0.0),
                $weighed->text,
            );
        }
    }

    public function test_an_unknown_name_is_offered_its_neighbours_and_a_sure_line_nothing(): void
    {
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);

        self::assertNotSame(
            [],
            Mend::for($resolver->resolve('2 tbsp moonlit vinegar of dreams'), Catalogue::shipped()),
        );
        self::assertSame([], Mend::for($resolver->resolve('100 g honey'), Catalogue::shipped()));
        self::assertSame([], Mend::for($resolver->resolve('Mix it all up'), Catalogue::shipped()));
    }

    public function test_or_alternatives_are_offered_as_swaps(): void
    {
        $line = (new LineResolver(Catalogue::shipped(), Measures::Us))->resolve('1 tbsp honey or maple syrup');

        self::assertSame('honey', $line->ingredient?->key);
        self::assertContains('maple-syrup', $line->alternatives);
    }
}
