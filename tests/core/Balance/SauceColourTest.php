<?php

declare(strict_types=1);

namespace Tests\core\Balance;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\Balance\SauceColour;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Sensory\Colour;

final class SauceColourTest extends TestCase
{
    /** @return iterable<string, array{list<string>, string}> */
    public static function sauces(): iterable
    {
        yield 'ketchup is red' => [['300 g ketchup'], 'red'];
        yield 'tomato paste in vinegar is red' => [['200 g tomato paste', '200 ml water', '60 ml vinegar', '60 g sugar'], 'red'];
        yield 'turmeric wins' => [['200 g cauliflower', '200 ml vinegar', '60 g sugar', '5 g turmeric'], 'yellow'];
        yield 'a curry mayonnaise is yellow' => [['250 g mayonnaise', '8 g curry powder'], 'yellow'];
        yield 'yellow mustard is yellow' => [['200 g yellow mustard'], 'yellow'];
        yield 'a mustard sauce of cream is pale' => [['300 g double cream', '30 g Dijon mustard'], 'pale'];
        yield 'mayonnaise is pale' => [['300 g mayonnaise'], 'pale'];
        yield 'yoghurt with garlic is pale' => [['300 g yoghurt', '10 g garlic', '3 g salt'], 'pale'];
        yield 'a white sauce is pale' => [['500 ml milk', '40 g butter', '40 g flour'], 'pale'];
        yield 'soy darkens' => [['100 ml soy sauce', '50 ml rice vinegar', '50 ml water'], 'dark'];
        yield 'a soy glaze is dark' => [['120 ml soy sauce', '60 ml mirin', '60 g sugar'], 'dark'];
        yield 'a mole is dark' => [['60 g ancho', '40 g mulato', '400 ml stock', '50 g chocolate'], 'dark'];
        yield 'pesto is green' => [['80 g basil', '50 g pine nuts', '100 ml olive oil', '50 g parmesan'], 'green'];
        yield 'chimichurri is green' => [['60 g parsley', '120 ml olive oil', '50 ml red wine vinegar', '15 g garlic'], 'green'];
        yield 'a green salsa is green' => [['500 g tomatillos', '30 g jalapeno', '20 g coriander leaf'], 'green'];
        yield 'cocktail pink is pink' => [['200 g mayonnaise', '60 g ketchup'], 'pink'];
        yield 'cream makes tomato pink' => [['200 g passata', '150 g double cream'], 'pink'];
        yield 'chilli in vinegar is red' => [['250 g red chilli', '200 ml white vinegar', '8 g salt'], 'red'];
        yield 'cranberries are red' => [['340 g cranberries', '150 g sugar', '150 ml water'], 'red'];
        yield 'beetroot wins' => [['300 g beetroot', '100 g onion', '100 ml vinegar', '60 g sugar'], 'red'];
        yield 'peanut sauce is brown' => [['150 g peanut butter', '200 ml coconut milk', '30 ml soy sauce'], 'brown'];
        yield 'two spoons of soy leave a carrot dressing brown' => [['150 g carrot', '30 g ginger', '2 tbsp soy sauce', '60 ml rice vinegar', '60 ml oil'], 'brown'];
        yield 'and a sauce of ketchup and pineapple too' => [['125 ml pineapple juice', '70 g ketchup', '110 g brown sugar', '2 tbsp soy sauce', '80 ml rice vinegar'], 'brown'];
        yield 'a brown sauce is brown or dark' => [['200 g dates', '300 ml malt vinegar', '60 g molasses', '60 g tomato paste'], 'dark'];
        yield 'carrot and habanero is orange' => [['200 g carrot', '60 g habanero', '150 ml white vinegar'], 'orange'];
    }

    /** @param list<string> $lines */
    #[DataProvider('sauces')]
    public function test_plain_sauces_have_the_colour_that_anyone_would_name(array $lines, string $name): void
    {
        $colour = self::colour($lines);

        self::assertContains($name, self::names($colour), $colour->hex());
    }

    public function test_sugar_darkens_at_the_boil(): void
    {
        $lines = ['800 g cooking apples', '300 g white sugar', '200 ml cider vinegar'];
        $raw = self::colour($lines);
        $hour = self::colour($lines, 60.0);

        self::assertLessThan($raw->lightness() - 0.1, $hour->lightness());
        self::assertLessThan($hour->lightness(), self::colour($lines, 120.0)->lightness());
        self::assertSame(
            self::colour(['300 g yoghurt'])->hex(),
            self::colour(['300 g yoghurt', '30 g water'])->hex(),
            'water thins no colour',
        );
    }

    /** Kubelka and Munk by hand: grey 0.5 and white of equal strength; K/S is 0.25 and, at 0.97, 0.000464. */
    public function test_pigments_mix_by_absorption_and_scattering(): void
    {
        $grey = Colour::of(187.516, 187.516, 187.516);
        self::assertEqualsWithDelta(0.5, $grey->red, 1e-3);
        $ratio = (0.25 + 0.000464) / 2.0;
        $mixed = Colour::mixed([[$grey, 1.0], [Colour::of(255, 255, 255), 1.0]]);
        self::assertEqualsWithDelta(1.0 + $ratio - sqrt($ratio ** 2 + 2.0 * $ratio), $mixed?->red, 1e-3);
        self::assertSame('#b3261a', Colour::of(0xb3, 0x26, 0x1a)->hex());
        self::assertNull(Colour::mixed([]));
        self::assertNull(SauceColour::of(self::formula([]), 0.0));
    }

    public function test_colours_are_of_ingredients_that_there_are_and_each_has_one(): void
    {
        $seen = [];
        $kinds = [];
        foreach (FactsFile::named('colours') as $key => $row) {
            self::assertCount(3, $row->numbers('colour'), $key);
            self::assertGreaterThan(0.0, $row->number('strength'), $key);
            foreach ($row->list('of') as $member) {
                self::assertTrue(Catalogue::shipped()->has($member), "{$key}: {$member}");
                self::assertNotContains($member, $seen, "{$member} has two colours");
                $seen[] = $member;
            }
            array_push($kinds, ...$row->list('kinds'));
        }
        $without = array_filter(
            Catalogue::shipped()->all(),
            static fn($one): bool => !in_array($one->key, $seen, true) && array_intersect($one->kinds, $kinds) === [],
        );
        self::assertLessThan(0.25 * count(Catalogue::shipped()->all()), count($without));
    }

    /** @return list<string> every name that a person might give it */
    private static function names(Colour $colour): array
    {
        [$red, $green, $blue] = array_map(
            static fn(string $pair): float => hexdec($pair) / 255.0,
            str_split(substr($colour->hex(), 1), 2),
        );
        $most = max($red, $green, $blue);
        $spread = $most - min($red, $green, $blue);
        $saturation = $most > 0.0 ? $spread / $most : 0.0;
        $hue = match (true) {
            $spread <= 0.0 => 0.0,
            $most === $red => fmod(60.0 * ($green - $blue) / $spread + 360.0, 360.0),
            $most === $green => 60.0 * ($blue - $red) / $spread + 120.0,
            default => 60.0 * ($red - $green) / $spread + 240.0,
        };

        return array_keys(array_filter([
            'pale' => $most > 0.8 && $saturation < 0.45,
            'dark' => $most < 0.5,
            'red' => ($hue < 22.0 || $hue > 325.0) && $saturation > 0.5,
            'pink' => ($hue < 30.0 || $hue > 325.0) && $most > 0.7 && $saturation < 0.75,
            'orange' => $hue >= 12.0 && $hue < 40.0 && $saturation > 0.5 && $most > 0.6,
            'yellow' => $hue >= 32.0 && $hue < 62.0 && $saturation > 0.4 && $most > 0.6,
            'green' => $hue >= 55.0 && $hue < 160.0 && $saturation > 0.25,
            'brown' => $hue >= 8.0 && $hue < 45.0 && $most < 0.85 && $saturation > 0.25,
        ]));
    }

    /** @param list<string> $lines */
    private static function colour(array $lines, float $minutes = 0.0): Colour
    {
        return SauceColour::of(self::formula($lines), $minutes) ?? Colour::of(0, 0, 0);
    }

    /** @param list<string> $lines */
    private static function formula(array $lines): Formula
    {
        return Formula::fromTexts($lines, Catalogue::shipped(), Measures::Us);
    }
}
