<?php

declare(strict_types=1);

namespace Tests\core\Recipe\Telling;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\MethodStep;
use Vinculum\Exchange\RecipeFault;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\AllergenWords;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Kitchen\Sauce;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\NameReading;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Telling\Telling;

/** Tellings of this project, and what a cook who listens would write down. Common practice. */
final class TellingsTest extends TestCase
{
    /** Of the grams that a listener writes down. */
    private const NEAR = 0.2;

    /** @param list<array{string, string}> $expected */
    #[DataProvider('written')]
    public function test_a_telling_is_written_down(string $told, array $expected): void
    {
        self::assertTrue(Telling::isOne($told));
        [$found, $right, $amounts, $of, $wrong] = self::compared(self::sauce($told), $expected);

        self::assertSame([], $found, 'left out');
        self::assertSame([], $wrong, 'never put in');
        self::assertSame($of, $right, implode('; ', $amounts));
        foreach ($expected as [$what, $value]) {
            if ($what === 'minutes') {
                self::assertContains((float) $value, self::minutes(self::sauce($told)->recipe));
            }
        }
    }

    /** @return iterable<string, array{string, list<array{string, string}>}> */
    public static function written(): iterable
    {
        yield from self::tellings('written');
    }

    /**
     * Written after the code, and never used to tune it. As they came: of the first seven such sets, each written after what the ones
     * before had taught, 85 of 88, 71 of 76, 35 of 37, 83 of 87, 58 of 68, 56 of 59 and 45 of 53 things were found, 78, 61,
     * 34, 72, 54, 50 and 43 of them in the right amount, and 7 of 92, 4 of 75, 2 of 37, 10 of 93, 10 of 68, 7 of 63 and 7
     * of 52 lines were of what was never put in (of the fifth and the last, one telling each was not taken for one). An
     * eighth, later: 58 of 67 found (one telling was not taken for one), 53 of 58 in the right amount, 1 of 60 lines never
     * put in. A ninth, of ten, later still: 71 of 80 found, 61 of 71 in the right amount, 3 of 79 lines never put in (six of them
     * stand in seen.txt). A tenth, of twenty, later still: 125 of 132 found, 121 of 125 in the right amount, 4 of 135 lines never
     * put in, 12 of 17 times. An eleventh, of twenty: 125 of 142, 121 of 125, 8 of 136 lines, 12 of 18 times
     * (two of the twenty were not taken for tellings). A twelfth, of fifteen: 102 of 108, 96 of 102, 6 of 109 lines, 9 of 18 times.
     * A thirteenth, of eight: 61 of 63, 59 of 61, 2 of 63 lines, 11 of 12 times. A fourteenth, of twelve: 74 of 78, 68 of 74, 2 of 77
     * lines, 12 of 14 times, in order in 8 of 12; a fifteenth, of twelve: 67 of 70, 62 of 67, 1 of 68 lines, 10 of 12 times, in order in
     * all twelve (two of them are still not wholly right and stand nowhere). A sixteenth, of twenty: 130 of 143, 115 of 130, 5 of 144 lines, all 20
     * times, in order in 19 (two were not taken for tellings). A seventeenth, of twenty: 134 of 142, 116 of 134, 5 of 144 lines, all 17
     * times, all in order. An eighteenth, of twelve: 72 of 75, 67 of 72, 3 of 79 lines, 8 of 9 times, all in order.
     * A nineteenth, of ten: 66 of 70, 57 of 66, 8 of 74 lines, 10 of 12 times, all in order.
     * A twentieth, of ten: 67 of 71, 60 of 67, 6 of 76 lines, 13 of 14 times, all in order (three of them are still not wholly right and stand nowhere). All but the third stand in seen.txt now, but for one of the eighth that is still not understood ("as much
     * chilli as you dare, I do one red one").
     */
    public function test_tellings_that_it_never_saw_are_mostly_right(): void
    {
        [$missed, $right, $of, $wrong, $lines, $things] = [0, 0, 0, 0, 0, 0];
        $said = [];
        foreach (self::tellings('unseen') as $name => [$told, $expected]) {
            $sauce = self::sauce($told);
            [$left, $fits, $amounts, $measured, $never] = self::compared($sauce, $expected);
            $things += count(array_filter($expected, static fn(array $one): bool => !in_array($one[0], ['not', 'minutes'], true)));
            [$missed, $right, $of] = [$missed + count($left), $right + $fits, $of + $measured];
            [$wrong, $lines] = [$wrong + count($never), $lines + count($sauce->formula->lines)];
            array_push($said, ...array_map(static fn(string $one): string => "{$name}: {$one}", [...$left, ...$amounts, ...$never]));
        }

        self::assertGreaterThan(30, $things);
        self::assertGreaterThan(self::FOUND, ($things - $missed) / $things, implode("\n", $said));
        self::assertGreaterThan(self::MEASURED, $right / $of, implode("\n", $said));
        self::assertLessThan(self::NEVER, $wrong / $lines, implode("\n", $said));
    }

    /** What was in the sets that were unseen once. */
    public function test_tellings_that_taught_it_something_stay_right(): void
    {
        [$missed, $right, $of, $wrong, $said] = [0, 0, 0, 0, []];
        foreach (self::tellings('seen') as $name => [$told, $expected]) {
            [$left, $fits, $amounts, $measured, $never] = self::compared(self::sauce($told), $expected);
            [$missed, $right, $of, $wrong] = [$missed + count($left), $right + $fits, $of + $measured, $wrong + count($never)];
            array_push($said, ...array_map(static fn(string $one): string => "{$name}: {$one}", [...$left, ...$amounts, ...$never]));
        }

        self::assertSame([0, 0], [$missed, $wrong], implode("\n", $said));
        self::assertGreaterThan(0.92, $right / $of, implode("\n", $said));
    }

    /** Words that only sound like a thing, as machine subtitles write them: shown as not known, with what was meant among the offers. */
    public function test_a_word_that_was_misheard_is_offered_and_never_taken(): void
    {
        $heard = ['flower' => 'plain-flour', 'time' => 'thyme', 'salary' => 'celery', 'carry powder' => 'curry-powder', 'sugger' => 'white-sugar', 'leaks' => 'leek', 'corey ander' => 'coriander-leaf'];
        foreach ($heard as $word => $meant) {
            $sauce = self::sauce(
                "so i start with two tablespoons of butter in the pan and then in goes two tablespoons of {$word} and we cook that a minute"
                . ' and then we go in with two cups of milk and half a teaspoon of salt and we just let it simmer for ten minutes',
            );
            $lines = array_values(array_filter($sauce->formula->lines, static fn(ResolvedLine $one): bool => str_contains($one->text(), $word)));
            self::assertCount(1, $lines, $word);
            self::assertSame(LineStatus::Unknown, $lines[0]->status, $word);
            self::assertContains($meant, $lines[0]->alternatives, $word);
        }
    }

    /** How people say amounts, over many things: of each, of them, at a time, by size; and whose way it is. */
    public function test_amounts_are_heard_however_they_are_said(): void
    {
        $spices = ['cumin', 'paprika', 'turmeric', 'cayenne', 'dried oregano'];
        $says = [
            static fn(array $s): array => ["and a teaspoon each of {$s[0]}, {$s[1]} and {$s[2]} goes in", ["a teaspoon of {$s[0]}", "a teaspoon of {$s[1]}", "a teaspoon of {$s[2]}"]],
            static fn(array $s): array => ["then you sweat the shallots two of em with a teaspoon of {$s[0]}", ['two shallots', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["Water, a tablespoon at a time, I ended up using six tablespoons. A teaspoon of {$s[0]}", ['six tablespoons of water', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["Two tins of good tomatoes, the four hundred gram ones. A teaspoon of {$s[1]}", ['2 400 gram tins of tomatoes', "a teaspoon of {$s[1]}"]],
            static fn(array $s): array => ["the zest and the juice of one lemon, and a teaspoon of {$s[2]}", ['zest of one lemon', 'juice of one lemon', "a teaspoon of {$s[2]}"]],
            static fn(array $s): array => ["a bit of ginger the size of a thumb and a teaspoon of {$s[0]}", ['a thumb-sized piece of ginger', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["then the {$s[0]} the good kind two teaspoons and a teaspoon of {$s[1]}", ["two teaspoons of {$s[0]}", "a teaspoon of {$s[1]}"]],
            static fn(array $s): array => ["a teaspoon of {$s[0]}. He puts bourbon in it, I don't", ["a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["a teaspoon of {$s[0]}, no, two, I like it", ["two teaspoons of {$s[0]}"]],
            static fn(array $s): array => ["a teaspoon of {$s[0]}, same of {$s[1]}", ["a teaspoon of {$s[0]}", "a teaspoon of {$s[1]}"]],
            static fn(array $s): array => ["a teaspoon of that {$s[0]} a teaspoon of my {$s[1]}", ["a teaspoon of {$s[0]}", "a teaspoon of {$s[1]}"]],
            static fn(array $s): array => ["some {$s[0]} I put a teaspoon of {$s[0]}", ["a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["a teaspoon of {$s[0]}. Thirty seconds. The {$s[0]} is three minutes' work", ["a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["eight red chillies, I leave the seeds in three of them, four garlic cloves", ['eight red chillies', 'four garlic cloves']],
            static fn(array $s): array => ["a teaspoon of {$s[0]}. Thumb of ginger, sprig of thyme", ["a teaspoon of {$s[0]}", 'a thumb of ginger', 'a sprig of thyme']],
            static fn(array $s): array => ["two chipotles in adobo and a tablespoon of that chipotle in adobo", ['two chipotles in adobo', 'a tablespoon of chipotle in adobo']],
            static fn(array $s): array => ["a teaspoon of {$s[0]} and if you like it hot you can do a jalapeno but I'm leaving it out", ["a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["four teaspoons of {$s[0]} and half as much {$s[1]}", ["four teaspoons of {$s[0]}", "two teaspoons of {$s[1]}"]],
            static fn(array $s): array => ["two teaspoons of {$s[0]}, then half that of {$s[1]}, and double that of {$s[2]}", ["two teaspoons of {$s[0]}", "one teaspoon of {$s[1]}", "two teaspoons of {$s[2]}"]],
            static fn(array $s): array => ["two tablespoons of {$s[0]}, sorry, teaspoons of {$s[0]}", ["two teaspoons of {$s[0]}"]],
            static fn(array $s): array => ["a pinch of {$s[0]}, well, more like a teaspoon", ["a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["a pinch of {$s[0]} (I use 2 tsp) and a teaspoon of {$s[1]}", ["2 tsp {$s[0]}", "a teaspoon of {$s[1]}"]],
            static fn(array $s): array => ["five hundred grams of tomatoes and a couple of red onions, and a teaspoon of {$s[0]}", ['500 g tomatoes', '2 red onions', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["three onions here, big ones, and a teaspoon of {$s[0]}", ['3 large onions', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["the peel of half a lemon and a teaspoon of {$s[0]}. Take out the lemon peel", ['zest of half a lemon', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["sugar to taste, I use about sixty grams. A teaspoon of {$s[0]}", ['60 g sugar', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["the vinegar was 600 ml, cider, and a teaspoon of {$s[0]}", ['600 ml cider vinegar', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["two tablespoons of mustard the grainy one and a teaspoon of {$s[0]}", ['2 tbsp grainy mustard', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["a tin of coconut milk. I fry a teaspoon of {$s[0]} in a bit of the cream off the top", ['a tin of coconut milk', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["couple of tablespoons of milk and a teaspoon of {$s[0]} no two teaspoons", ['2 tbsp milk', "2 tsp {$s[0]}"]],
            static fn(array $s): array => ["a tablespoon of oil, mustard oil if you have it, and a teaspoon of {$s[0]}", ['1 tbsp oil', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["half a litre of brown sauce, no, less, say three hundred mils, and a teaspoon of {$s[0]}", ['300 ml brown sauce', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["A lemon, juice and zest. A teaspoon of {$s[0]}", ['juice of a lemon', 'zest of a lemon', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["some mint, like ten leaves, and a teaspoon of {$s[0]}. Vanilla if you like, I don't bother", ['10 leaves mint', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["half a cucumber grated, squeeze out the water, and a teaspoon of {$s[0]}. One minute of boiling", ['half a cucumber', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["a teaspoon of {$s[0]}. The lads put chilli sauce on top but that's their business", ["a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["I grate in a teaspoon of ginger and a teaspoon of {$s[0]}", ['a teaspoon of grated ginger', "a teaspoon of {$s[0]}"]],
            static fn(array $s): array => ["a teaspoon of {$s[0]}. Grate half a cucumber and squeeze the water out", ["a teaspoon of {$s[0]}", 'half a cucumber']],
        ];
        $grams = static fn(Sauce $sauce): array => array_map(
            static fn(ResolvedLine $line): array => [$line->ingredient?->key, round($line->grams->value ?? 0.0, 1)],
            array_values(array_filter($sauce->formula->lines, static fn(ResolvedLine $line): bool => $line->ingredient !== null)),
        );
        $asked = 0;
        foreach ($spices as $at => $_) {
            $s = [...array_slice($spices, $at), ...array_slice($spices, 0, $at)];
            foreach ($says as $say) {
                [$said, $lines] = $say($s);
                $sauce = self::sauce("So this is what I do for my sauce. I take three hundred grams of ketchup and I put it in a bowl. {$said}. You stir it and you leave it.");
                $expected = Kitchen::shipped()->weigh(Kitchen::shipped()->read("# x\n\n" . implode("\n", ['300 g ketchup', ...$lines]) . "\n"));
                self::assertEqualsCanonicalizing($grams($expected), $grams($sauce), $said);
                ++$asked;
            }
        }
        self::assertSame(190, $asked);
    }

    /** What is got ready first and put in later stands where it goes in. */
    public function test_things_stand_in_the_order_of_their_use(): void
    {
        $pairs = [['tomatoes', 'a tin of tomatoes'], ['chickpeas', 'a tin of chickpeas'], ['stock', 'half a litre of stock'], ['cream', 'a cup of cream']];
        foreach ($pairs as [$thing, $ready]) {
            foreach (['You want', 'You need', "I've got", 'Take'] as $says) {
                foreach (["In with the {$thing}", "Then I add the {$thing}", "Pour in the {$thing}"] as $use) {
                    $sauce = self::sauce("{$says} {$ready}. I heat two tablespoons of olive oil in a pan and I drop in two cloves of garlic. {$use}. Let that bubble for fifteen minutes and then you taste it.");
                    $keys = array_map(static fn(ResolvedLine $one): ?string => $one->ingredient?->key, $sauce->formula->lines);
                    self::assertSame(['olive-oil', 'garlic'], array_slice($keys, 0, 2), "{$says} {$ready} … {$use}");
                    self::assertCount(3, $keys, "{$says} {$ready} … {$use}");
                }
            }
        }
    }

    /** An amount behind a list is that of all of it, however long the list and however it is said. */
    public function test_an_amount_of_each_is_that_of_a_whole_list(): void
    {
        $herbs = ['chives', 'parsley', 'sorrel', 'dill', 'chervil'];
        $amounts = ['twenty-five grams of each' => 25.0, 'so about 30 grams of each' => 30.0, 'say ten grams each' => 10.0, 'a hundred grams of each' => 100.0];
        foreach ($amounts as $said => $grams) {
            for ($many = 2; $many <= 5; ++$many) {
                $list = implode(', ', array_slice($herbs, 0, $many - 1)) . " and {$herbs[$many - 1]}";
                $sauce = self::sauce("So this is what I do. Two hundred grams of yoghurt in a bowl. Then {$list}, {$said}. I stir it and then you leave it for an hour.");
                $weights = array_map(static fn(ResolvedLine $one): float => round($one->grams->value ?? 0.0), $sauce->formula->lines);
                self::assertSame([200.0, ...array_fill(0, $many, $grams)], $weights, "{$list}, {$said}");
            }
        }
    }

    /** What was done is a step as what is done is, and so is whatever takes a time; what keeps or happened is none. */
    public function test_what_was_done_and_what_takes_a_time_is_a_step(): void
    {
        $told = static fn(string $said): array => self::minutes(self::sauce(
            "I took four hundred grams of tinned tomatoes and I put in a teaspoon of salt. {$said} We had it with bread and I loved it.",
        )->recipe);
        foreach (FactsFile::named('telling')['did']->list('words') as $did) {
            self::assertContains(12.0, $told("It {$did} for about twelve minutes."), $did);
        }
        foreach (['One tomato, roasted for 20 minutes.' => 20.0, 'Under the grill, eight minutes, flip, five more.' => 13.0, 'Three quarters of an hour it went, lid off.' => 45.0] as $said => $minutes) {
            self::assertContains($minutes, $told($said), $said);
        }
        foreach (['I started an hour ago.', 'It keeps 24 hours on the counter.', 'The farm is a twenty minute drive.'] as $said) {
            self::assertSame([], array_filter($told($said)), $said);
        }
    }

    /** "A litre of vinegar, we use malt": the kind that is said behind counts, where it is a kind of that. */
    public function test_the_kind_that_is_said_behind_counts(): void
    {
        $kinds = ['vinegar' => ['malt', 'cider', 'sherry', 'rice'], 'mustard' => ['Dijon', 'wholegrain', 'English'], 'sugar' => ['demerara', 'muscovado', 'palm']];
        foreach ($kinds as $thing => $of) {
            foreach ($of as $kind) {
                foreach (['we use', 'I always use the', 'I like'] as $says) {
                    $sauce = self::sauce("I take two hundred grams of yoghurt. Then it's fifty grams of {$thing}, {$says} {$kind}, and a teaspoon of salt. You stir it and we leave it for an hour.");
                    $expected = (new NameReading(Catalogue::shipped()))->keyOf("{$kind} {$thing}");
                    $found = array_map(static fn(ResolvedLine $one): ?string => $one->ingredient?->key, $sauce->formula->lines);
                    self::assertNotNull($expected, "{$kind} {$thing}");
                    self::assertSame(['yoghurt', $expected, 'salt'], $found, "{$says} {$kind}");
                }
            }
        }
        $plain = self::sauce("I take two hundred grams of yoghurt. Then it's fifty grams of sugar, we use spoons, and a teaspoon of salt. You stir it and leave it.");
        self::assertSame('white-sugar', $plain->formula->lines[1]->ingredient?->key, 'no kind of sugar');
    }

    /** Where others put it, and the one who tells does not, it does not go in. */
    public function test_what_others_put_in_and_what_would_be_nice_does_not_go_in(): void
    {
        foreach (['an egg', 'orange zest', 'a spoon of honey', 'capers', 'a garlic clove'] as $thing) {
            foreach (['Some vans put %s in.', 'You could char %s with it, I had none.', 'Many cooks use %s here.', 'Most cafes add %s to it.'] as $says) {
                $sauce = self::sauce('I take two hundred grams of mayonnaise and I put in a tablespoon of mustard. ' . sprintf($says, $thing) . ' You stir it and we leave it for an hour.');
                self::assertCount(2, $sauce->formula->lines, sprintf($says, $thing));
            }
        }
    }

    /** "Ten minutes at a bubble": a time by itself is a step, whatever it is said with. */
    public function test_a_time_by_itself_is_a_step(): void
    {
        foreach (['Ten minutes at a bubble.' => 10.0, 'Forty five minutes on the lowest flame.' => 45.0, 'About 20 minutes, lid off.' => 20.0, 'Give it an hour.' => 60.0, 'Another five minutes.' => 5.0, "Fifteen minutes, don't let it boil." => 15.0] as $said => $minutes) {
            $sauce = self::sauce("I take four hundred grams of tinned tomatoes and I put in a teaspoon of salt. {$said} Then you taste it and I bottle it.");
            self::assertContains($minutes, self::minutes($sauce->recipe), $said);
        }
    }

    private const FOUND = 0.9;
    private const MEASURED = 0.85;
    private const NEVER = 0.06;

    /** Every word of what was said stands in a line, a step or beside them; no allergen goes unseen. */
    public function test_nothing_that_was_said_vanishes(): void
    {
        foreach ([...self::tellings('written'), ...self::tellings('seen'), ...self::tellings('unseen')] as $name => [$told]) {
            $recipe = self::sauce($told)->recipe;
            $kept = mb_strtolower(implode(' ', [$recipe->title, ...$recipe->texts(), ...$recipe->told()]));
            foreach (AllergenWords::in($told) as $allergen) {
                self::assertContains($allergen, AllergenWords::in($kept), "{$name}: {$allergen}");
            }
            $words = static fn(string $text): array => array_count_values(
                preg_split('/[^\pL\']+/u', mb_strtolower($text), -1, PREG_SPLIT_NO_EMPTY) ?: [],
            );
            $lost = array_diff_key($words((string) preg_replace('/^.*-->.*$/m', '', $told)), $words($kept));
            // what leads up to a step is left out of it
            self::assertLessThan(0.16 * str_word_count($told), array_sum($lost), "{$name}: " . implode(' ', array_keys($lost)));
        }
    }

    public function test_a_line_knows_what_was_said_of_it(): void
    {
        $told = "[0:01] So I make this dip, you know, for us.\n[0:05] I take three tablespoons of honey\n[0:09] and the juice of one lime, and we stir it.";
        $recipe = self::sauce($told)->recipe;
        self::assertSame(['three tablespoons of honey', 'juice of one lime'], $recipe->texts());
        foreach ($recipe->lines as $line) {
            [$from, $to] = $line->said ?? [0, 0];
            self::assertSame($line->text, mb_substr($told, $from, $to - $from));
        }
    }

    public function test_talk_of_no_sauce_is_said_to_be_that(): void
    {
        foreach ([
            "la la la i love you baby you and i we will dance all night long my heart is yours and you know it so come on let's go my love you are the one",
            "Today we're going to talk about the history of a bridge and how we know what we know. You will see that I have brought some slides, and we begin with the piers.",
        ] as $text) {
            try {
                Kitchen::shipped()->readBegun($text);
                self::fail($text);
            } catch (RecipeFault $fault) {
                self::assertStringContainsString('Nothing that goes into a sauce', $fault->getMessage());
            }
        }
    }

    public function test_lists_pages_and_other_talk_are_not_taken_for_tellings(): void
    {
        foreach ([
            "My dip\n\n2 tbsp honey\n1 lime, juiced\n1 tsp salt\n\nI whisk it and we eat it with chips, you know how it is, and I love it.",
            "Ingredients\n1 cup ketchup\n\nMethod\nNow you just stir it all together, and then we let it stand, and I say so every time to you.",
            'Two tbsp honey and the juice of one lime.',
        ] as $text) {
            self::assertFalse(Telling::isOne($text), $text);
        }
    }

    /**
     * @param list<array{string, string}> $expected
     *
     * @return array{list<string>, int, list<string>, int, list<string>} left out, right amounts, wrong ones, of so many,
     *     never put in
     */
    private static function compared(Sauce $sauce, array $expected): array
    {
        $lines = [];
        foreach ($sauce->formula->lines as $line) {
            $lines[$line->ingredient->key ?? $line->text()] = $line;
        }
        [$left, $right, $amounts, $of, $known] = [[], 0, [], 0, []];
        foreach ($expected as [$what, $value]) {
            if (in_array($what, ['not', 'minutes'], true)) {
                continue;
            }
            $known[] = $what;
            ++$of;
            /** @var ResolvedLine|null $line */
            $line = $lines[$what] ?? null;
            $grams = $line?->grams->value ?? 0.0;
            if ($line === null) {
                $left[] = $what;
            } elseif ($value === 'taste' ? $grams < 8.0 : abs($grams / (float) $value - 1.0) <= self::NEAR) {
                ++$right;
            } else {
                $amounts[] = sprintf('%s %.1f g, not %s', $what, $grams, $value);
            }
        }

        return [$left, $right, $amounts, $of, array_values(array_diff(array_map(strval(...), array_keys($lines)), $known))];
    }

    private static function sauce(string $told): Sauce
    {
        $kitchen = Kitchen::shipped();

        return $kitchen->weigh($kitchen->readBegun($told));
    }

    /** @return list<float> */
    private static function minutes(Recipe $recipe): array
    {
        return array_map(
            static fn(MethodStep $step): float => $step->minutes[1] ?? 0.0,
            MethodReader::steps($recipe->method),
        );
    }

    /** @return array<string, array{string, list<array{string, string}>}> */
    private static function tellings(string $file): array
    {
        $tellings = [];
        $text = (string) file_get_contents(__DIR__ . "/../data/tellings/{$file}.txt");
        foreach (explode("=====\n", $text) as $number => $one) {
            [$told, $expected] = explode("-----\n", $one);
            $tellings["{$file} {$number}"] = [$told, array_map(static function (string $line): array {
                [$what, $value] = explode(' ', $line);
                $key = Catalogue::shipped()->names()->find(str_replace('-', ' ', $what), 1)[0]->key ?? $what;

                return [in_array($what, ['not', 'minutes'], true) ? $what : $key, $value];
            }, explode("\n", trim($expected)))];
        }

        return $tellings;
    }
}
