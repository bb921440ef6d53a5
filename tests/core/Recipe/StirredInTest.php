<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** What a line stirs, soaks or pounds its thing with is in the sauce too, be its amount said or not. */
final class StirredInTest extends TestCase
{
    private const SEED = 5127;
    private const LINES = 400;

    public function test_what_is_stirred_in_without_an_amount_is_there_to_taste(): void
    {
        mt_srand(self::SEED);
        $ways = FactsFile::named('reading')['stirred-in']->list('bare');
        [$things, $with] = [['cornflour', 'mustard powder', 'peanut butter', 'tahini', 'garlic'], ['milk', 'salt', 'olive oil', 'brandy', 'soy sauce']];
        for ($made = 0; $made < self::LINES; ++$made) {
            [$thing, $other] = [$things[mt_rand(0, 4)], $with[mt_rand(0, 4)]];
            $some = ['', 'a little ', 'a little cold ', 'some '][mt_rand(0, 3)];
            $line = '20 g ' . $thing . [', ', ' '][mt_rand(0, 1)] . $ways[mt_rand(0, count($ways) - 1)] . " {$some}{$other}";
            $read = self::read($line);

            self::assertCount(2, $read, $line);
            self::assertEqualsWithDelta(20.0, $read[0]->grams?->value, 0.1, $line);
            self::assertSame(self::read($other)[0]->ingredient?->key, $read[1]->ingredient?->key, $line);
            self::assertSame(LineStatus::ToTaste, $read[1]->status, $line);
        }
    }

    public function test_the_water_something_soaked_in_and_what_stands_in_another_line_are_no_things_of_their_own(): void
    {
        foreach (FactsFile::named('reading')['stirred-in']->list('soaking') as $soaked) {
            self::assertCount(1, self::read("20 g dried ancho, {$soaked} hot water"), $soaked);
        }
        $read = self::read('2 tomatoes, blended with the onion');
        self::assertCount(1, $read);
        self::assertSame(['onion'], $read[0]->unread, 'it is said that a word was not taken');
    }

    public function test_of_what_is_counted_a_part_alone_weighs_less_and_of_what_is_weighed_it_does_not(): void
    {
        foreach (FactsFile::named('states')['part only']->list('words') as $only) {
            $whole = self::read('3 spring onions, sliced')[0]->grams;
            $part = self::read("3 spring onions, {$only}")[0]->grams;
            self::assertEqualsWithDelta(0.5 * ($whole->value ?? 0.0), $part->value ?? 0.0, 0.1, $only);
            self::assertGreaterThan(
                ($whole->deviation ?? 0.0) / ($whole->value ?? 1.0),
                ($part->deviation ?? 0.0) / ($part->value ?? 1.0),
                'and how much is less sure',
            );
            self::assertEqualsWithDelta(90.0, self::read("90 g spring onions, {$only}")[0]->grams?->value, 0.1, $only);
        }
        $both = self::read('3 spring onions, white and green parts, sliced')[0]->grams?->value;
        self::assertEqualsWithDelta(self::read('3 spring onions')[0]->grams?->value, $both, 0.1);
    }

    /** @return list<ResolvedLine> */
    private static function read(string $line): array
    {
        return (new LineResolver(Catalogue::shipped(), Measures::Metric))->entries($line);
    }
}
