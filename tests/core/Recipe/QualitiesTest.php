<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\Sureness;

/** Describing words that change nothing pass without doubt, each before what it may stand; the rest leave doubt. */
final class QualitiesTest extends TestCase
{
    public function test_there_are_four_hundred_each_before_something_that_there_is(): void
    {
        [$words, $kinds] = [[], ['any']];
        foreach (Catalogue::shipped()->all() as $ingredient) {
            array_push($kinds, $ingredient->key, ...$ingredient->kinds, ...$ingredient->roles);
        }
        foreach (FactsFile::named('qualities') as $row) {
            self::assertNotSame([], $row->list('before'), $row->key);
            self::assertSame([], array_diff($row->list('before'), [...$kinds, 'paste']), $row->key);
            $words = [...$words, ...$row->list('words')];
        }
        self::assertGreaterThanOrEqual(400, count(array_unique($words)));
    }

    public function test_they_pass_without_doubt(): void
    {
        foreach ([
            '1 tbsp unsulphured molasses' => 'molasses', '1 cup natural creamy peanut butter' => 'peanut-butter', '1 tsp non-iodized salt' => 'salt',
            '2 tbsp fresh-squeezed lemon juice' => 'lemon-juice', '1 tbsp filtered cider vinegar' => 'cider-vinegar', 'freshly cracked black pepper' => 'black-pepper',
            '2 tbsp organic cold-pressed extra virgin olive oil' => 'olive-oil', '3 large ripe vine-ripened tomatoes' => 'tomato', '2 tbsp runny wildflower honey' => 'honey',
            '1 kg windfall pears' => 'pear', '500 g allotment tomatoes' => 'tomato', '500 g homegrown plums' => 'plum',
        ] as $text => $key) {
            $line = self::resolver()->resolve($text);
            self::assertSame([$key, Sureness::Certain, []], [$line->ingredient?->key, $line->sure, $line->unread], $text);
        }
    }

    /** "3 lge yellow tomatoes" are tomatoes; "green mango", "white cabbage" have rows of their own. */
    public function test_the_colour_of_what_is_fresh_is_its_cultivars_unless_a_row_has_it(): void
    {
        foreach (['red', 'yellow', 'orange', 'purple', 'golden', 'striped'] as $colour) {
            foreach (['habanero' => 'habanero', 'scotch bonnet' => 'habanero', "bird's eye chilli" => 'birds-eye-chilli', 'courgette' => 'courgette', 'fig' => 'fig', 'peach' => 'peach'] as $name => $key) {
                $line = self::resolver()->resolve("3 lge {$colour} {$name}s");
                self::assertSame([$key, Sureness::Certain], [$line->ingredient?->key, $line->sure], "{$colour} {$name}");
            }
        }
        foreach (['green mango' => 'green-mango', 'green tomato' => 'green-tomato', 'black lime' => 'dried-lime', 'yellow pepper' => 'yellow-pepper', 'black garlic' => 'black-garlic'] as $name => $key) {
            self::assertSame($key, self::resolver()->resolve("2 {$name}s")->ingredient?->key, $name);
        }
        self::assertNotSame('lemon', self::resolver()->resolve('2 black lemons')->ingredient?->key);
    }

    public function test_what_changes_the_thing_chooses_a_row_or_leaves_doubt(): void
    {
        foreach (['smoked', 'unsalted', 'sweetened', 'toasted', 'pickled', 'salted', 'low-fat', 'dried', 'roasted', 'reduced-sodium'] as $word) {
            foreach (['peanuts', 'soy sauce', 'tomatoes', 'butter', 'coconut', 'garlic', 'stock'] as $name) {
                [$plain, $line] = [self::resolver()->resolve("100 g {$name}"), self::resolver()->resolve("100 g {$word} {$name}")];
                self::assertTrue(
                    $line->ingredient?->key !== $plain->ingredient?->key || $line->sure !== Sureness::Certain || self::isItsName($word, $name),
                    "{$word} {$name}",
                );
            }
        }
    }

    /** Leaves, fronds and tops are what is used of any herb; what is kept back or left over is what it was. */
    public function test_the_leaves_of_every_herb_are_that_herb(): void
    {
        $asked = 0;
        foreach (Catalogue::shipped()->all() as $herb) {
            if (!in_array('herb', $herb->kinds, true) || preg_match('/lea(?:f|ves)|dried/iu', $herb->name) === 1) {
                continue;
            }
            $name = mb_strtolower($herb->name);
            foreach (["a handful of {$name} leaves", "2 tbsp chopped {$name} leaves", "3 tbsp {$name} tops", "2 tbsp reserved {$name}"] as $text) {
                self::assertSame($herb->key, self::resolver()->resolve($text)->ingredient?->key, $text);
                ++$asked;
            }
        }
        self::assertGreaterThan(100, $asked);
    }

    /** Whether the catalogue has it by this name: "unsalted butter". */
    private static function isItsName(string $word, string $name): bool
    {
        return Catalogue::shipped()->names()->find("{$word} {$name}", 1)[0]->isExact ?? false;
    }

    private static function resolver(): LineResolver
    {
        return new LineResolver(Catalogue::shipped(), Measures::Us);
    }
}
