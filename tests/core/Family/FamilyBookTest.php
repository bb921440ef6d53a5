<?php

declare(strict_types=1);

namespace Tests\core\Family;

use PHPUnit\Framework\TestCase;
use Vinculum\Facts\FactsFile;
use Vinculum\Family\Dose;
use Vinculum\Family\FamilyBook;
use Vinculum\Family\FamilyIdentity;
use Vinculum\Family\ReferenceFormula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Work;
use Vinculum\Sensory\Axis;

final class FamilyBookTest extends TestCase
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
            self::assertTrue(FamilyBook::has($key), $key);
        }
        self::assertGreaterThanOrEqual(150, count(FamilyBook::all()));
    }

    public function test_every_family_has_five_references_or_more_with_titles_of_their_own(): void
    {
        foreach (FamilyBook::all() as $style) {
            $references = References::all()[$style->key];
            $titles = array_map(static fn(ReferenceFormula $one): string => $one->title, $references);
            self::assertGreaterThanOrEqual(5, count($references), $style->key);
            self::assertCount($style->references, $references, "{$style->key}: run bin/derive-families");
            self::assertSame($titles, array_unique($titles), $style->key);
            self::assertNotContains('', $titles, $style->key);
        }
        self::assertCount(count(FamilyBook::all()), glob(FactsFile::folder() . '/styles/*.txt') ?: []);
    }

    /** Schools: salted or salt-free. Only what is salt by its nature, or seasoned by what is, has a lower edge. */
    public function test_an_axis_that_a_family_need_not_have_starts_at_nothing(): void
    {
        foreach (['cranberry', 'apple-sauce', 'mint-sauce', 'pepper-jelly'] as $key) {
            self::assertSame(0.0, FamilyBook::get($key)->target->window(Axis::Salt)?->low, $key);
        }
        foreach (['ketchup', 'vinaigrette', 'mayonnaise' => 'flavoured-mayonnaise', 'mustard', 'chutney'] as $key) {
            self::assertSame(0.0, FamilyBook::get($key)->target->window(Axis::Heat)?->low, $key);
        }
        foreach (['fish-sauce-dip', 'seasoned-soy', 'teriyaki-glaze'] as $key) {
            self::assertGreaterThan(1.0, FamilyBook::get($key)->target->window(Axis::Salt)?->low, $key);
        }
    }

    public function test_doses_are_those_of_the_references(): void
    {
        foreach (['ketchup', 'fish-sauce-dip', 'mole'] as $key) {
            $shares = array_map(
                static fn(ReferenceFormula $one): array => $one->makeup->ingredients,
                References::all()[$key],
            );
            foreach (Dose::ofIngredients($key) as $ingredient => $dose) {
                $held = array_column($shares, $ingredient);
                self::assertCount($dose->references, $held, "{$key}: {$ingredient}");
                self::assertEqualsWithDelta(max([0.0, ...$held]), $dose->largest, 0.005 * $dose->largest);
                self::assertLessThanOrEqual($dose->high, $dose->low, $ingredient);
                self::assertLessThanOrEqual($dose->largest, $dose->high, $ingredient);
            }
        }
        // common practice: a dip of fish sauce holds about a fifth of it
        self::assertEqualsWithDelta(19.0, Dose::ofIngredients('fish-sauce-dip')['fish-sauce']->median, 4.0);
        self::assertArrayHasKey('mustards', Dose::ofWorks('honey-mustard'));
        self::assertContains('mustards', Work::of('dijon-mustard'));
    }

    /** Common practice: without mustard it is no mustard sauce. */
    public function test_what_names_a_family_is_what_others_lack(): void
    {
        foreach ([
            'honey-mustard' => 'honey',
            'fish-sauce-dip' => 'fish-sauce',
            'tahini-sauce' => 'tahini',
            'gochujang-sauce' => 'gochujang',
            'cranberry' => 'cranberry',
        ] as $family => $ingredient) {
            self::assertContains($ingredient, FamilyIdentity::of($family)->ingredients, $family);
        }
        self::assertContains('mustards', FamilyIdentity::of('mustard')->works);
        foreach (FamilyBook::all() as $style) {
            self::assertNotContains('salt', FamilyIdentity::of($style->key)->ingredients);
            self::assertNotContains('water', FamilyIdentity::of($style->key)->ingredients);
            self::assertNotSame([], FamilyIdentity::of($style->key)->aromas, $style->key);
        }
    }

    public function test_bases_and_correctors_are_in_the_catalogue(): void
    {
        foreach (FamilyBook::all() as $style) {
            foreach ([$style->base, ...$style->correctors] as $key) {
                self::assertTrue(Catalogue::shipped()->has($key), "{$style->key}: {$key}");
            }
        }
    }
}
