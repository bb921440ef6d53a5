<?php

declare(strict_types=1);

namespace Tests\core\Recipe\Text;

use PHPUnit\Framework\TestCase;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Exchange\RecipeReader;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Text\LineKind;
use Vinculum\Recipe\Text\PageReader;
use Vinculum\Recipe\Text\PageYield;

/** Sixty recipes as they stand on pages, in mails and on cards, each line with what it is: ../data/pages. */
final class PagesTest extends TestCase
{
    private const TITLES_WANTED = 0.92;
    private const INGREDIENTS_WANTED = 0.88;
    private const METHODS_WANTED = 0.88;

    public function test_title_ingredients_and_method_are_told_apart(): void
    {
        $reader = new PageReader(Catalogue::shipped());
        [$pages, $titled, $titles, $ingredients, $methods, $odd] = [0, 0, 0, 0, 0, []];
        foreach (self::pages() as $name => $lines) {
            ++$pages;
            $read = $reader->read(array_column($lines, 1));
            self::assertCount(count($lines), $read, 'no line is lost');
            $isAs = static fn(string $letter, LineKind $kind): bool => array_filter(
                array_keys($lines),
                static fn(int $at): bool => ($lines[$at][0] === $letter) !== ($read[$at]->kind === $kind),
            ) === [];
            $titled += in_array('T', array_column($lines, 0), true) ? 1 : 0;
            $titles += in_array('T', array_column($lines, 0), true) && $isAs('T', LineKind::Title) ? 1 : 0;
            $ingredients += $isAs('I', LineKind::Ingredient) ? 1 : 0;
            $methods += $isAs('S', LineKind::Step) ? 1 : 0;
            if (!$isAs('T', LineKind::Title) || !$isAs('I', LineKind::Ingredient) || !$isAs('S', LineKind::Step)) {
                $odd[] = $name;
            }
        }
        $says = implode(', ', $odd);

        self::assertGreaterThanOrEqual(60, $pages);
        self::assertGreaterThanOrEqual(self::TITLES_WANTED, $titles / max(1, $titled), $says);
        self::assertGreaterThanOrEqual(self::INGREDIENTS_WANTED, $ingredients / $pages, $says);
        self::assertGreaterThanOrEqual(self::METHODS_WANTED, $methods / $pages, $says);
    }

    public function test_nothing_but_ingredients_weighs_anything(): void
    {
        $reader = new PageReader(Catalogue::shipped());
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
        $asked = 0;
        foreach (self::pages() as $name => $lines) {
            $read = $reader->read(array_column($lines, 1));
            foreach ($lines as $at => [$letter, $text]) {
                if ($letter !== 'I' && $read[$at]->kind === LineKind::Ingredient) {
                    self::assertNull($resolver->resolve($text)->grams, "{$name}: {$text}");
                }
            }
        }
        foreach (self::noise() as $text) {
            ++$asked;
            $kind = $reader->read(['Tomato relish', 'A relish of my own.', $text])[2]->kind;
            $grams = $kind === LineKind::Ingredient ? $resolver->resolve($text)->grams : null;
            self::assertNull($grams, $text);
        }
        self::assertGreaterThanOrEqual(150, $asked);
    }

    /** "Salt: 20 g" among the ingredients goes in; under "Nutrition" it does not. */
    public function test_what_is_both_food_and_nutrition_is_what_stands_around_it(): void
    {
        $reader = new PageReader(Catalogue::shipped());
        $asked = 0;
        foreach (['Salt: 20 g', 'Sugar: 10 g', 'Sugar 10 g', 'salt - 5 g'] as $said) {
            foreach ([['1 l water', $said, '2 tsp pepper'], [$said, '1 l water'], ['My brine', '1 l water', 'Salt: 8 g', $said]] as $lines) {
                $table = ['Mix it all in a pan.', 'Nutrition', 'Calories: 80', $said, 'Fat: 9 g'];
                $kinds = array_column($reader->read([...$lines, ...$table]), 'kind');
                $at = array_search($said, $lines, true);
                ++$asked;
                self::assertSame(LineKind::Ingredient, $kinds[$at], implode(' / ', $lines));
                self::assertNotSame(LineKind::Ingredient, $kinds[count($lines) + 3], implode(' / ', $lines));
            }
        }
        self::assertSame(12, $asked);
    }

    public function test_what_takes_time_makes_jars_or_feeds_people_weighs_nothing_as_a_line_of_its_own(): void
    {
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
        foreach (
            [
                'Prep time: 10 minutes',
                'Cooking: 15 minutes',
                'Makes about 6 jars.',
                'Makes 2 cups',
                'Serves 4',
                'Calories: 48kcal',
                'https://example.org/recipes/relish',
                '£2.50 per jar',
            ] as $text
        ) {
            $line = $resolver->resolve($text);
            self::assertNull($line->grams, $text);
            self::assertSame('unknown', $line->status->value, $text);
        }
    }

    public function test_a_whole_page_becomes_a_recipe(): void
    {
        $recipe = RecipeReader::read(<<<'PAGE'
            Two-way Plum Sauce
            My neighbour has a tree, and this is what I do with it every September.
            Prep: 10 min | Cook: 45 min
            Serves 8
            Makes about 2 cups
            INGREDIENTS
            FOR THE SAUCE
            • 1 kg plums, stoned
            • 250 g sugar
            === To finish ===
            • salt and pepper
            METHOD
            1. Simmer the plums and sugar for 45 minutes.
            Step 2: Sieve, season and bottle.
            Notes
            Keeps 2 weeks in the fridge.
            PAGE);

        self::assertSame('Two-way Plum Sauce', $recipe->title);
        self::assertSame(
            ['FOR THE SAUCE:', '1 kg plums, stoned', '250 g sugar', 'To finish:', 'salt and pepper'],
            $recipe->texts(),
        );
        self::assertSame(['Simmer the plums and sugar for 45 minutes.', 'Sieve, season and bottle.'], $recipe->method);
        self::assertSame(['2 cups', 8], [$recipe->yield, $recipe->servings]);
        self::assertSame(
            ['blurb', 'time', 'yield', 'yield', 'heading', 'heading', 'heading', 'note'],
            array_column($recipe->setAside, 'why'),
        );
    }

    public function test_the_name_of_a_part_alone_in_its_line_is_a_heading_and_no_unknown_food(): void
    {
        $lines = static fn(string $part, string $gap): array => RecipeReader::read(
            "Plum sauce\n\nIngredients\n500 g plums\n{$gap}{$part}\n2 tsp cumin\n1 tsp salt\n\nMethod\nBoil it for 10 minutes.",
        )->texts();
        foreach (['Spices', 'Aromatics', 'Dressing', 'Wet', 'The base', 'Tempering', 'Garnish'] as $part) {
            foreach (['', "\n"] as $gap) {
                self::assertSame(['500 g plums', "{$part}:", '2 tsp cumin', '1 tsp salt'], $lines($part, $gap), $part);
            }
        }
        // what nobody listed heads the block it begins, and is food where it stands among food
        self::assertSame('Finishing touches:', $lines('Finishing touches', "\n")[1]);
        self::assertSame('Finishing touches', $lines('Finishing touches', '')[1]);
        self::assertSame('Salt', $lines('Salt', "\n")[1]);
    }

    public function test_what_is_measured_is_no_title_though_its_name_is_a_sauce_nobody_knows(): void
    {
        foreach (['100 g honey mustard', '2 tbsp Creole mustard', '1 cup curry sauce', '½ cup apple relish'] as $first) {
            foreach ([[], ['100 g mayonnaise'], ['1 tsp salt', 'Stir it well.']] as $rest) {
                $recipe = RecipeReader::read(implode("\n", [$first, ...$rest]));
                self::assertSame('', $recipe->title, $first);
                self::assertSame($first, $recipe->texts()[0]);
            }
        }
        self::assertSame('2 minute mustard sauce', RecipeReader::read("2 minute mustard sauce\n100 g mustard\n1 tsp salt")->title);
        self::assertSame('3-2-1 dressing', RecipeReader::read("3-2-1 dressing\n100 g oil\n1 tsp salt")->title);
    }

    public function test_a_yield_beside_the_times_or_a_heading_is_one(): void
    {
        $lines = "\n200 g tomatoes\n1 onion\n2 tbsp vinegar\n\nMethod\nSimmer 20 minutes.";
        foreach (['Prep: 20 mins | Cook: 30 mins | Makes about 700ml', 'Ingredients (makes 700ml)'] as $told) {
            $headed = str_starts_with($told, 'Ing') ? $told : "{$told}\nIngredients";
            self::assertSame('700ml', RecipeReader::read("Tomato sauce\n{$headed}{$lines}")->yield, $told);
        }
    }

    public function test_a_yield_is_one_that_can_be_measured(): void
    {
        foreach (
            [
                'Makes about 2 cups' => '2 cups',
                'Yield: 500 ml' => '500 ml',
                'Fills two 8-oz jars' => '2 x 8 fl oz',
                'Yield: about 3 half-pint jars' => '3 x ½ pint',
                'Makes 4 x 250 ml jars' => '4 x 250 ml',
                'Makes approximately 1.5 kg' => '1.5 kg',
                'Makes about 6 jars.' => null,
                'Makes a lovely present.' => null,
            ] as $line => $yield
        ) {
            self::assertSame($yield, PageYield::written([$line]), $line);
        }
    }

    public function test_a_page_without_linked_data_is_read_by_its_blocks_or_by_what_its_elements_say(): void
    {
        $blocks = '<html><head><title>x</title><style>p{}</style></head><body><nav>Home 2 cups</nav><h1>Plum Sauce</h1>'
            . '<p>A sauce for ducks, and I love it so much.</p><h2>Ingredients</h2><ul><li>1 kg plums</li>'
            . '<li>250&nbsp;g sugar</li></ul><table><tr><td>250 ml</td><td>vinegar</td></tr></table><h2>Method</h2>'
            . '<ol><li>Simmer 30 minutes.</li><li>Sieve and bottle.</li></ol><script>var cups = 3;</script></body></html>';
        $marked = '<div itemscope itemtype="https://schema.org/Recipe"><h2 itemprop="name">Dip</h2><p>Blah 3 cups sugar</p>'
            . '<span itemprop="recipeIngredient">2 tbsp soy sauce</span><span itemprop="recipeIngredient">1 tsp sugar</span>'
            . '<div itemprop="recipeInstructions"><p>Stir.</p></div></div>';
        $read = RecipeReader::read($blocks);

        self::assertSame('Plum Sauce', $read->title);
        self::assertSame(['1 kg plums', '250 g sugar', '250 ml vinegar'], $read->texts());
        self::assertSame(['Simmer 30 minutes.', 'Sieve and bottle.'], $read->method);
        $read = RecipeReader::read($marked);
        self::assertSame(['Dip', ['2 tbsp soy sauce', '1 tsp sugar']], [$read->title, $read->texts()]);
        self::assertSame(['Stir.'], $read->method);
    }

    public function test_a_page_with_no_recipe_says_so(): void
    {
        $this->expectException(RecipeFault::class);
        RecipeReader::read('<html><body><h1>About us</h1><p>We are a small shop.</p><p>Open Monday to Friday.</p></body></html>');
    }

    /** @return iterable<string, non-empty-list<array{string, string}>> letter and text of each line, by page */
    private static function pages(): iterable
    {
        foreach (glob(__DIR__ . '/../data/pages/*.txt') ?: [] as $file) {
            [$name, $lines] = ['', []];
            foreach ([...(file($file, FILE_IGNORE_NEW_LINES) ?: []), '=== '] as $row) {
                if (str_starts_with($row, '=== ')) {
                    if ($lines !== []) {
                        yield basename($file) . ": {$name}" => $lines;
                    }
                    [$name, $lines] = [substr($row, 4), []];
                } elseif ($row !== '' && $row[0] !== ';') {
                    [$letter, $text] = explode('|', $row, 2);
                    $lines[] = [$letter, $text];
                }
            }
        }
    }

    /** @return iterable<string> */
    private static function noise(): iterable
    {
        foreach (file(__DIR__ . '/../data/noise.txt', FILE_IGNORE_NEW_LINES) ?: [] as $row) {
            if ($row !== '' && $row[0] !== ';') {
                yield explode('|', $row, 2)[1];
            }
        }
    }

    public function test_what_a_method_says_last_that_it_makes_is_its_yield(): void
    {
        $page = "Chilli syrup\n\nIngredients\n250 ml rice vinegar\n200 g sugar\n4 red chillies\n\nMethod\n";
        $yields = [
            "Boil for 10 minutes.\nCool and bottle. Fills one 350 ml bottle." => '1 x 350 ml',
            "Boil for 10 minutes until syrupy. Makes about 1.2 cups" => '1.2 cups',
            // in the midst of it, it may be of a part; and a number alone is no amount
            "Boil the sugar with the vinegar. It makes 300 ml of syrup.\nAdd the chillies and simmer." => null,
            'Boil for 10 minutes. Makes plenty.' => null,
        ];
        foreach ($yields as $method => $yield) {
            self::assertSame($yield, RecipeReader::written($page . $method)->yield, $method);
        }
    }

    public function test_how_many_it_serves_is_read_behind_the_times_and_minutes_are_not(): void
    {
        $page = "Pineapple salsa\n%s\n\nIngredients\n1 tin pineapple\n2 limes, juiced\n1 tsp salt\n\nMethod\nBlend it.";
        foreach ([
            'Prep 15 mins   Cook 25 mins   Serves 8' => 8,
            'Prep: 15 min | Servings: 6-8' => 6,
            'Prep 15 mins   Cook 25 mins' => null,
        ] as $times => $servings) {
            self::assertSame($servings, RecipeReader::written(sprintf($page, $times))->servings, $times);
        }
    }

    public function test_of_a_table_that_tells_amounts_twice_the_first_counts(): void
    {
        $table = "Beetroot relish | Serves 10 as a condiment\n\n%s\n\nMethod\nSimmer for 45 minutes. Pot.\n";
        $rows = [
            ['INGREDIENTS', 'METRIC', 'IMPERIAL'],
            ['Raw beetroot, peeled, grated', '500 g', '1 lb 2 oz'],
            ['Oranges, zest and juice', '2', '2'],
            ['Red wine vinegar', '300 ml', '10 fl oz'],
            ['Allspice berries', '6', '6'],
        ];
        foreach (['     ', "\t", ' | '] as $gap) {
            foreach ([$rows, [array_slice($rows[0], 1), ...array_slice($rows, 1)]] as $written) {
                $text = implode("\n", array_map(static fn(array $row): string => implode($gap, $row), $written));
                $recipe = RecipeReader::written(sprintf($table, $text));

                self::assertSame('Beetroot relish', $recipe->title, $text);
                self::assertSame(10, $recipe->servings, $text);
                self::assertSame([
                    '500 g Raw beetroot, peeled, grated',
                    '2 Oranges, zest and juice',
                    '300 ml Red wine vinegar',
                    '6 Allspice berries',
                ], $recipe->texts(), $text);
            }
        }
    }

    public function test_a_table_of_amounts_ends_where_its_amounts_do(): void
    {
        $recipe = RecipeReader::written(
            "Beetroot relish\n\nIngredients   Metric   Imperial\nBeetroot   500 g   1 lb 2 oz\nSalt   to taste   to taste\n"
                . "Vinegar   300 ml   10 fl oz\n\nMethod\nSimmer the lot for 45 minutes.  Stir it often.  Pot and seal it.\n",
        );

        self::assertSame(['500 g Beetroot', 'to taste Salt', '300 ml Vinegar'], $recipe->texts());
        self::assertStringContainsString('Pot and seal it.', implode(' ', $recipe->method));
        self::assertStringContainsString('Simmer the lot', implode(' ', $recipe->method));
    }

    public function test_a_heading_with_nothing_under_it_is_not_lost(): void
    {
        $recipe = RecipeReader::written(
            "Plum sauce\n\nIngredients\n\nFor the sauce:\n500 g plums\n100 g sugar\n\nTo finish:\n\nMethod\nSimmer the plums.\n",
        );

        self::assertSame(['For the sauce:', '500 g plums', '100 g sugar'], $recipe->texts());
        self::assertContains('To finish:', array_column($recipe->setAside, 'text'));
    }

    /** A list with times of a film's chapters above it is a list, whatever is said under the film. */
    public function test_the_chapters_of_a_film_make_no_telling_of_a_list(): void
    {
        foreach (["00:00 Intro\n00:45 What you need\n03:10 Toasting", "0:00 hello\n1:30 the pan\n10:05 tasting it"] as $chapters) {
            foreach (['Ingredients:', 'INGREDIENTS', 'ingredients'] as $heading) {
                $text = "{$chapters}\n\nGREEN TOMATO CHUTNEY\n{$heading}\n1.5 kg green tomatoes\n500 g onions\nmalt vinegar 600 ml\n2 tsp salt\n\n#chutney #preserving\n@home";
                $recipe = RecipeReader::read($text);
                self::assertSame(['1.5 kg green tomatoes', '500 g onions', 'malt vinegar 600 ml', '2 tsp salt'], $recipe->texts(), $text);
            }
        }
    }

    /** What a list puts under "To serve" is eaten with the sauce: it weighs nothing, and is still to be seen. */
    public function test_what_is_listed_to_serve_is_set_aside(): void
    {
        foreach (['To serve', 'To serve:', 'For serving'] as $heading) {
            $recipe = RecipeReader::read("Mushroom sauce\n\nIngredients\n250 g mushrooms\n100 ml cream\n{$heading}\n400 g tagliatelle\n2 tbsp grated parmesan\n\nMethod\nFry the mushrooms 5 minutes, add the cream.");
            self::assertSame(['250 g mushrooms', '100 ml cream'], $recipe->texts(), $heading);
            $with = array_filter($recipe->setAside, static fn($one): bool => $one['why'] === 'served-with');
            self::assertSame(['400 g tagliatelle', '2 tbsp grated parmesan'], array_values(array_column($with, 'text')), $heading);
            $below = RecipeReader::read("Mushroom sauce\n\nIngredients\n250 g mushrooms\n100 ml cream\n\nMethod\n1. Fry the mushrooms 5 minutes, add the cream.\n2. Season.\n\n{$heading}\nchips, burgers, anything from the grill\nWarm it through once more.\n", Catalogue::shipped());
            self::assertSame(['Fry the mushrooms 5 minutes, add the cream.', 'Season.', 'Warm it through once more.'], $below->method, $heading);
            self::assertContains('chips, burgers, anything from the grill', array_column($below->setAside, 'text'), $heading);
        }
    }

    public function test_a_note_may_say_what_is_made_and_a_heading_may_stand_before_a_step(): void
    {
        $recipe = RecipeReader::written(
            "Nan's piccalilli\n\nKeeps for ages & makes a brilliant present. Fills around 4 x 450g jars.\n\nIngredients\n"
                . "600 g cauliflower\n600 ml cider vinegar\n150 g sugar\n\nDirections: Simmer everything for 4 minutes. Pot while hot.\n",
        );

        self::assertSame('4 x 450g', $recipe->yield);
        // a reader of the page speaks of another pan
        self::assertNull(RecipeReader::written(
            "Plum sauce\n\nIngredients\n1 kg plums\n200 g sugar\n\nMethod\nSimmer for 30 minutes.\n\nComments\n"
                . "Loved it, I doubled everything. It makes about 2 litres that way!\n",
        )->yield);
        self::assertSame('750ml', RecipeReader::written(
            "Plum barbecue sauce\n\nDark and sharp, and made every September since the tree began to bear. Prep 15 min | Cook 40 min | Makes about 750ml\n\n"
                . "Ingredients\n1 kg plums\n120 ml red wine vinegar\n\nMethod\nSimmer for 30 minutes.\n",
        )->yield);
        self::assertSame(['Simmer everything for 4 minutes. Pot while hot.'], $recipe->method);
    }
}
