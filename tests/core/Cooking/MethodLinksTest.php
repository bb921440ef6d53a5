<?php

declare(strict_types=1);

namespace Tests\core\Cooking;

use PHPUnit\Framework\Attributes\TestDox;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Vinculum\Balance\Formula;
use Vinculum\Cooking\MethodLinks;
use Vinculum\Cooking\MethodMentions;
use Vinculum\Cooking\MethodReader;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measures;

/**
 * Which step puts a line in. The names are the catalogue's own, in every pair where one ends with the other ("ginger", "stem ginger"): such
 * pairs are the ones a step can take for each other.
 */
final class MethodLinksTest extends TestCase
{
    private const NAMES_WANTED = 20;

    /** @var array<string, list<\Vinculum\Recipe\Resolution\ResolvedLine>> of a sauce with 20 g of each ingredient, by its name */
    private static array $withPassata = [];

    #[TestDox('A thing goes in at the step that names it, though another line holds its name: wherever one name of the catalogue ends with another, in both orders')]
    public function test_names_that_hold_each_other(): void
    {
        $pairs = self::pairsOfNames();
        $wrong = [];
        foreach ($pairs as [$first, $second, $lines]) {
            $puts = MethodLinks::of(
                MethodReader::steps(["Put the {$first} in a pan and simmer for 10 minutes.", "Leave to cool, then stir in the {$second}."]),
                $lines,
            )->puts;
            [$ofFirst, $ofSecond] = array_map(
                static fn(int $line): array => array_keys(array_filter($puts, static fn(array $put): bool => isset($put[$line]))),
                [0, 1],
            );
            if (\count($ofFirst) !== 1 || \count($ofSecond) !== 1 || $ofSecond[0] <= $ofFirst[0]) {
                $wrong[] = "{$first}, then {$second}";
            }
        }

        self::assertGreaterThan(400, \count($pairs));
        self::assertSame([], $wrong);
    }

    #[TestDox('What stands on two lines, the second kept for later: "everything but the extra vinegar" takes the first of them, "the last of the vinegar" the second; made of many things')]
    public function test_the_last_of_two_lines_of_one_thing(): void
    {
        $asked = 0;
        foreach (['cider vinegar', 'brown sugar', 'olive oil', 'lemon juice', 'soy sauce', 'butter', 'double cream', 'honey', 'stock', 'white wine', 'parsley', 'mustard'] as $thing) {
            $lines = Formula::fromTexts(
                ['500 g tomatoes', "150 g {$thing}", "1 tbsp {$thing}, to finish"],
                Catalogue::shipped(),
                Measures::Metric,
            )->lines;
            foreach (['last', 'extra', 'remaining', 'reserved'] as $word) {
                $puts = MethodLinks::of(MethodReader::steps([
                    "Put everything except the {$word} {$thing} in a pan and simmer for 20 minutes.",
                    "Stir in the {$word} {$thing} off the heat.",
                ]), $lines)->puts;
                $step = static fn(int $line): array => array_keys(
                    array_filter($puts, static fn(array $put): bool => isset($put[$line])),
                );
                self::assertSame($step(0), $step(1), "{$word} {$thing}");
                self::assertGreaterThan($step(1), $step(2), "{$word} {$thing}");
                ++$asked;
            }
        }
        self::assertSame(48, $asked);
    }

    #[TestDox('What there are several of is meant by its plural, and not the seasoning of that name')]
    public function test_peppers_are_not_the_pepper(): void
    {
        foreach (['4 red peppers', '2 green peppers', '300 g peppers'] as $peppers) {
            $lines = Formula::fromTexts([$peppers, '1 tsp salt', 'pepper'], Catalogue::shipped(), Measures::Metric)->lines;
            $puts = MethodLinks::of(MethodReader::steps([
                'Char the peppers under the grill, peel and chop them.',
                'Put everything in a pan and simmer for 20 minutes.',
            ]), $lines)->puts;
            $step = static fn(int $line): array => array_keys(
                array_filter($puts, static fn(array $put): bool => isset($put[$line])),
            );
            self::assertLessThan($step(2), $step(0), $peppers);
            self::assertSame($step(1), $step(2), $peppers);
        }
    }

    #[TestDox('Salt and pepper, listed on two lines and seasoned with at the end, are not put in with the spices; only the whole stick is fished out')]
    public function test_seasoning_at_the_end(): void
    {
        $lines = Formula::fromTexts(
            ['500 g pears', '1 cinnamon stick', '1/2 tsp ground cinnamon', '1 tsp salt', '1/2 tsp black pepper', '2 pieces stem ginger', '10 g fresh ginger'],
            Catalogue::shipped(),
            Measures::Metric,
        )->lines;
        $puts = MethodLinks::of(MethodReader::steps([
            'Put the pears, ginger, cinnamon stick and ground cinnamon in a pan and simmer for 20 minutes.',
            'Fish out the cinnamon stick and stir in the stem ginger.',
            'Season with salt and pepper.',
        ]), $lines)->puts;

        $step = static fn(int $line): array => array_keys(array_filter($puts, static fn(array $put): bool => isset($put[$line])));
        self::assertSame($step(0), $step(6));
        self::assertGreaterThan($step(0)[0], $step(5)[0]);
        self::assertGreaterThan($step(5)[0], $step(3)[0]);
        self::assertSame($step(3), $step(4));
    }

    public function test_the_juices_are_those_by_the_fruit_and_those_by_the_bottle(): void
    {
        $lines = Formula::fromTexts(['1 kg passata', 'juice of 1 lemon', '50 ml beetroot juice', '40 ml mandarin juice'], Catalogue::shipped(), Measures::Metric)->lines;
        $links = MethodLinks::of(MethodReader::steps(['Simmer the passata for 10 minutes.', 'Stir in the juices.']), $lines);
        self::assertSame([[1], [1], [1]], array_map($links->stepsOf(...), [1, 2, 3]));
    }

    #[TestDox('"Stir in the spices" means every spice of the list, however many of it are told: each word for many, over what the catalogue has of it')]
    public function test_a_word_for_many_means_all_of_them(): void
    {
        $dice = new Randomizer(new Mt19937(20261203));
        $asked = 0;
        foreach (FactsFile::named('doing') as $key => $row) {
            if (!str_starts_with($key, 'of-')) {
                continue;
            }
            foreach ($row->list('words') as $word) {
                // "fresh herbs" are those that are fresh, "salt and pepper" those that are so called, where some are
                $sorts = ['whole', 'and', ...FactsFile::named('doing')['sorts']->list('words')];
                $picksOut = array_intersect(explode(' ', $word), $sorts) !== [];
                $of = $picksOut ? [] : self::meantBy($word, $dice);
                for ($round = 0; $round < 4 && \count($of) >= 4; ++$round) {
                    $picked = array_map(static fn(int $at): string => $of[$at], (array) $dice->pickArrayKeys($of, 4));
                    $lines = Formula::fromTexts(
                        ['1 kg passata', ...array_map(static fn(string $name): string => "20 g {$name}", $picked)],
                        Catalogue::shipped(),
                        Measures::Metric,
                    )->lines;
                    $links = MethodLinks::of(MethodReader::steps([
                        'Simmer the passata for 10 minutes.',
                        "Stir in the {$word} and simmer for 5 minutes more.",
                    ]), $lines);
                    $wrong = array_filter(range(1, 4), static fn(int $line): bool => $links->stepsOf($line) === [0]);
                    self::assertSame([], $wrong, "{$word}: " . implode(', ', $picked));
                    ++$asked;
                }
            }
        }
        self::assertGreaterThan(150, $asked);
    }

    /** Of pages that were read once as they came: what soaks stands in the pot, what something goes into is there, crumbs are breadcrumbs. */
    public function test_what_is_in_the_pot_already_goes_in_no_more(): void
    {
        $links = static fn(array $lines, array $steps): array => array_map(
            MethodLinks::of(MethodReader::steps($steps), $of = Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric)->lines)->stepsOf(...),
            array_keys($of),
        );

        self::assertSame([[0], [0], [1]], $links(
            ['500 g dried apricots', '350 ml water', '200 g sugar'],
            ['Soak the apricots in the water overnight.', 'Add sugar and simmer for 25 minutes.', 'Stir into the cooled apricots.'],
        ));
        self::assertSame([[2], [0]], $links(
            ['20 g dried porcini', '300 ml water'],
            ['Bring the water to the boil. Soak the porcini in the water, and drain.', 'Add the porcini and simmer for 10 minutes.'],
        ));
        self::assertSame([[0], [0], [2]], $links(
            ['500 ml milk', '1 onion', '100 g breadcrumbs'],
            ['Simmer the milk with the onion for 10 minutes.', 'Take out the onion.', 'Stir in the crumbs.'],
        ));
        self::assertSame([[0], [1], [1]], $links(
            ['500 g tomatoes', '1 tbsp soy sauce', 'black pepper'],
            ['Simmer the tomatoes for 20 minutes.', 'Add the soy sauce.', 'Bottle.'],
        ));
    }

    /** A line that nobody knows goes in where the method names what it is nearest to. */
    public function test_what_is_not_known_goes_in_by_what_it_is_nearest_to(): void
    {
        $lines = Formula::fromTexts(['1 tbsp oil', '2 onions', '300 ml zorped beer', '20 g sugar'], Catalogue::shipped(), Measures::Metric)->lines;
        self::assertNull($lines[2]->ingredient);

        $links = MethodLinks::of(MethodReader::steps(['Fry the onions in the oil for 10 minutes.', 'Pour in the beer, add the sugar and simmer for 20 minutes.']), $lines);

        self::assertSame([[0], [0], [1], [1]], array_map($links->stepsOf(...), array_keys($lines)));
    }

    #[TestDox('What is to taste is none of "the spices" where it is seasoned later: each seasoning, under each word for many')]
    public function test_what_is_to_taste_waits_for_the_seasoning(): void
    {
        foreach (['pepper', 'black pepper', 'white pepper', 'cayenne', 'nutmeg'] as $seasoning) {
            foreach (['Season.', 'Season to taste.', 'Taste and adjust the seasoning.'] as $seasons) {
                $lines = Formula::fromTexts(
                    ['1 kg tomatoes', '2 tsp smoked paprika', '½ tsp ground cloves', $seasoning],
                    Catalogue::shipped(),
                    Measures::Metric,
                )->lines;
                $links = MethodLinks::of(MethodReader::steps(['Simmer the tomatoes for 20 minutes.', 'Add the spices and simmer for 10 minutes.', $seasons]), $lines);
                self::assertSame([[0], [1], [1], [2]], array_map($links->stepsOf(...), array_keys($lines)), "{$seasoning}, {$seasons}");
            }
        }
    }

    #[TestDox('"Until everything is soft" puts nothing in: what comes later still comes later')]
    public function test_everything_that_is_done_is_not_put_in(): void
    {
        foreach (['is soft', 'has collapsed', 'is tender and juicy', 'looks glossy', 'comes together', 'starts to catch'] as $state) {
            foreach (['until everything', 'so that everything', 'till all of it', 'once everything'] as $until) {
                $lines = Formula::fromTexts(
                    ['1 kg plum tomatoes', '300 g onions', '200 ml malt vinegar', '1 tsp ground ginger', '1 tsp mixed spice', '150 g sugar'],
                    Catalogue::shipped(),
                    Measures::Metric,
                )->lines;
                $links = MethodLinks::of(MethodReader::steps([
                    "Put the tomatoes, onions and vinegar in a pan and simmer for 40 minutes {$until} {$state}.",
                    'Stir in the sugar and spices and simmer for 20 minutes.',
                ]), $lines);
                self::assertSame([[0], [0], [0], [1], [1], [1]], array_map($links->stepsOf(...), array_keys($lines)), "{$until} {$state}");
            }
        }
    }

    /** @return list<string> names of the catalogue that a word for many means, each by itself, as they are drawn */
    private static function meantBy(string $word, Randomizer $dice): array
    {
        $all = array_filter(
            array_map(static fn(Ingredient $ingredient): string => mb_strtolower($ingredient->name), Catalogue::shipped()->all()),
            // "the leaves" are those that are called so, where one is
            static fn(string $name): bool => preg_match('/[,%(]| and | in |passata|tomato/', $name) === 0 && !str_ends_with($name, $word),
        );
        $meant = [];
        foreach ($dice->shuffleArray(array_values($all)) as $name) {
            $lines = self::$withPassata[$name] ??= Formula::fromTexts(
                ['1 kg passata', "20 g {$name}"],
                Catalogue::shipped(),
                Measures::Metric,
            )->lines;
            $mentions = MethodMentions::of(MethodReader::steps(["Stir in the {$word}."]), $lines);
            if (\count($lines) === 2 && $mentions !== [] && $mentions[0]->lines === [1]) {
                $meant[] = $name;
            }
            if (\count($meant) >= self::NAMES_WANTED) {
                break;
            }
        }

        return $meant;
    }

    /** What a line itself is written with beats what the thing of another line is also called: "the peppercorns". */
    public function test_the_line_that_has_the_word_is_meant(): void
    {
        [$asked, $catalogue] = [0, Catalogue::shipped()];
        $also = [];
        foreach ($catalogue->all() as $ingredient) {
            foreach ($ingredient->aliases as $alias) {
                if (preg_match('/^\pL{4,}$/u', $alias) === 1 && !str_contains(mb_strtolower($ingredient->name), mb_strtolower($alias))) {
                    $also[mb_strtolower($alias)] = mb_strtolower($ingredient->name);
                }
            }
        }
        foreach ($catalogue->all() as $ingredient) {
            $name = mb_strtolower($ingredient->name);
            $last = (string) preg_replace('/^.* /u', '', $name);
            $other = $also[$last] ?? $also["{$last}s"] ?? null;
            if (!str_contains($name, ' ') || $other === null || $other === $name || preg_match('/[,%(]| and | in /', $name . $other) === 1) {
                continue;
            }
            $lines = Formula::fromTexts(["50 g {$other}", "100 g {$name}"], $catalogue, Measures::Metric)->lines;
            if ($lines[0]->ingredient === null || $lines[1]->ingredient !== $ingredient || $lines[0]->ingredient === $ingredient) {
                continue;
            }
            $steps = MethodReader::steps(["Tip in the {$last} and warm through for 5 minutes."]);
            self::assertContains(0, MethodLinks::of($steps, $lines)->stepsOf(1), "{$last}: {$name}, and {$other}");
            ++$asked;
        }
        self::assertGreaterThan(3, $asked);
    }

    /** A word that is both done and a thing is a thing where nothing follows it. */
    public function test_what_is_done_to_nothing_is_a_thing(): void
    {
        foreach (['peel' => '2 strips orange peel', 'zest' => '5 g lemon zest', 'juice' => '50 ml lemon juice'] as $word => $text) {
            $lines = Formula::fromTexts(['300 ml stock', '1 star anise', $text], Catalogue::shipped(), Measures::Metric)->lines;
            $steps = MethodReader::steps(['Simmer the stock for 20 minutes.', "Tip in the star anise and {$word}."]);
            self::assertSame([1], MethodLinks::of($steps, $lines)->stepsOf(2), $word);
        }
    }

    /** "The seeds" are what a line calls seeds, in whatever is done to them; those of a chilli are its own. */
    public function test_the_seeds_are_those_of_the_list(): void
    {
        $seeds = ['mustard seeds', 'cumin seeds', 'coriander seeds', 'fennel seeds', 'caraway seeds', 'sesame seeds', 'sunflower seeds', 'nigella seeds'];
        foreach ($seeds as $seed) {
            foreach (['Toast the seeds.', 'Soak the seeds in the ale.', 'Add the seeds.', 'Fry the seeds until they pop.'] as $said) {
                $lines = Formula::fromTexts(["90 g {$seed}", '120 ml ale', '2 tsp salt', '1 tbsp sugar'], Catalogue::shipped(), Measures::Metric)->lines;
                $links = MethodLinks::of(MethodReader::steps([$said, 'Blend until smooth.', 'Leave for two days.']), $lines);
                self::assertSame([0], $links->stepsOf(0), "{$seed}: {$said}");
            }
            $lines = Formula::fromTexts(['4 red chillies', "5 g {$seed}"], Catalogue::shipped(), Measures::Metric)->lines;
            $links = MethodLinks::of(MethodReader::steps(['Remove the seeds from the chillies.', "Fry the {$seed}.", 'Stir in the chillies.']), $lines);
            self::assertSame([1], $links->stepsOf(1), $seed);
            self::assertNotContains(1, $links->works[0] ?? [], $seed);
        }
    }

    /** What no step names goes in where things come together, and not where others are soaked, toasted or charred by themselves. */
    public function test_what_no_step_names_is_not_soaked_nor_charred_with_what_is(): void
    {
        foreach (FactsFile::named('doing')['works-alone']->list('words') as $word) {
            if (preg_match('/ed$|ing$|salt/', $word) === 1) {
                continue;
            }
            $lines = Formula::fromTexts(['4 tomatoes', '2 onions', '1 tbsp sugar', '50 ml vinegar'], Catalogue::shipped(), Measures::Metric)->lines;
            $links = MethodLinks::of(MethodReader::steps([ucfirst($word) . ' the tomatoes.', 'Blend with the onions.', 'Rest overnight.']), $lines);
            self::assertSame([[1], [1]], [$links->stepsOf(2), $links->stepsOf(3)], $word);
            // a step that puts nothing in, as one that heats the oven, is no place for it either
            $steps = MethodReader::steps(['Heat the oven to 200°C.', ucfirst($word) . ' the tomatoes.', 'Soften the onions.', 'Simmer 20 minutes.']);
            $links = MethodLinks::of($steps, $lines);
            self::assertSame([[2], [2]], [$links->stepsOf(2), $links->stepsOf(3)], $word);
        }
    }

    /** "300 ml vinegar, plus 2 tbsp for the end": over many things, however the list and the method say so. */
    public function test_what_the_list_keeps_for_the_end_goes_in_last(): void
    {
        $asked = 0;
        foreach (['cider vinegar' => 'vinegar', 'vinegar' => 'vinegar', 'olive oil' => 'oil', 'light brown sugar' => 'sugar', 'soy sauce' => 'soy sauce', 'lime juice' => 'lime juice'] as $listed => $called) {
            foreach (FactsFile::named('doing')['kept-for-later']->list('words') as $later) {
                foreach (['the last of the', 'the rest of the', 'the remaining', 'the'] as $rest) {
                    ++$asked;
                    $lines = Formula::fromTexts(['100 g tomatoes', "300 ml {$listed}, plus 2 tbsp {$later}"], Catalogue::shipped(), Measures::Metric)->lines;
                    self::assertCount(3, $lines, "{$listed} {$later}");
                    $links = MethodLinks::of(
                        MethodReader::steps(["Simmer the tomatoes and {$called} for 20 minutes.", "Cool and stir in {$rest} {$called}."]),
                        $lines,
                    );
                    self::assertSame([[0], [1]], [$links->stepsOf(1), $links->stepsOf(2)], "{$listed} {$later}: {$rest}");
                }
            }
        }
        self::assertGreaterThan(150, $asked);
    }

    /** "Add the onions and pepper" is the red one of the list; the pepper that is to taste waits for its seasoning. */
    public function test_pepper_among_vegetables_is_the_vegetable(): void
    {
        foreach (['1 red pepper', '½ of a green pepper', '150 g yellow pepper'] as $pepper) {
            $lines = Formula::fromTexts(['2 onions', $pepper, '200 g tomatoes', 'salt and pepper'], Catalogue::shipped(), Measures::Metric)->lines;
            foreach (['Fry the onions and pepper for 10 minutes.', 'Add the pepper and onions to the pan.'] as $adds) {
                $links = MethodLinks::of(MethodReader::steps([$adds, 'Add the tomatoes and simmer 20 minutes.', 'Season with salt and pepper.']), $lines);
                self::assertSame([[0], [2], [2]], [$links->stepsOf(1), $links->stepsOf(3), $links->stepsOf(4)], "{$pepper}: {$adds}");
            }
            // where it is seasoned at once, pepper is pepper
            $links = MethodLinks::of(MethodReader::steps(['Fry the onions with salt and pepper.', 'Add the rest and simmer 20 minutes.']), $lines);
            self::assertSame([0], $links->stepsOf(4), $pepper);
        }
    }

    /**
     * Names that hold "and" are left out: a step's list of things cannot be told from such a name.
     *
     * @return list<array{string, string, list<\Vinculum\Recipe\Resolution\ResolvedLine>}> what goes in first, what goes in later, and the lines of both
     */
    private static function pairsOfNames(): array
    {
        $catalogue = Catalogue::shipped();
        $names = array_values(array_unique(array_filter(
            array_map(static fn(Ingredient $ingredient): string => mb_strtolower($ingredient->name), $catalogue->all()),
            static fn(string $name): bool => preg_match('/[,%(]| and /', $name) === 0,
        )));
        $pairs = [];
        foreach ($names as $short) {
            foreach ($names as $long) {
                if (!str_ends_with($long, " {$short}")) {
                    continue;
                }
                foreach ([[$short, $long], [$long, $short]] as [$first, $second]) {
                    $lines = Formula::fromTexts(["100 g {$first}", "50 g {$second}"], $catalogue, Measures::Metric)->lines;
                    $keys = array_map(static fn($line): ?string => $line->ingredient?->key, $lines);
                    if (!\in_array(null, $keys, true) && $keys[0] !== $keys[1]) {
                        $pairs[] = [$first, $second, $lines];
                    }
                }
            }
        }

        return $pairs;
    }
}
