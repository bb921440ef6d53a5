<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\Vocabulary;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Resolution\Sureness;

/** Which words of a line several names share, and which belong to one of them. */
final class SharedWordsTest extends TestCase
{
    public function test_the_first_of_two_choices_needs_no_word_of_a_second_that_says_it_again(): void
    {
        $count = 0;
        foreach (self::lengthened() as [$short, $long]) {
            $alone = self::read("20 g {$short}");
            $read = self::read("20 g {$short} or {$long}");
            if (count($alone) !== 1 || $alone[0]->ingredient === null) {
                continue;
            }
            ++$count;
            self::assertCount(1, $read, $long);
            $isSame = $read[0]->ingredient?->key === $alone[0]->ingredient->key;
            self::assertTrue($isSame || $read[0]->sure !== Sureness::Certain, "{$short} or {$long} is not certainly the second");
        }
        self::assertGreaterThan(100, $count);
    }

    public function test_a_list_of_seeds_is_seeds_only_where_each_of_its_names_has_them(): void
    {
        $keys = static fn(string $line): array => array_map(
            static fn(ResolvedLine $one): ?string => $one->ingredient?->key,
            self::read($line),
        );
        foreach (['', '1 tsp each of ', '1 tsp each '] as $amount) {
            self::assertSame(['fennel-seed', 'coriander-seed', 'cumin'], $keys("{$amount}fennel, coriander and cumin seeds"));
            self::assertSame(['garlic-powder', 'onion-powder'], $keys("{$amount}garlic and onion powder"));
            self::assertNotContains('onion-seed', $keys("{$amount}onion, garlic and cumin seeds"));
        }
        self::assertSame(['garlic', 'cumin'], $keys('2 cloves garlic and 1 tsp cumin seeds'));
    }

    /** "1 cup red wine, 1 cup white": a word that two names end with is said once, over every two names that do. */
    public function test_a_thing_that_shares_its_last_word_with_the_one_before_is_a_thing_of_its_own(): void
    {
        $byHead = [];
        foreach (Catalogue::shipped()->all() as $ingredient) {
            foreach (array_diff([mb_strtolower($ingredient->name), ...$ingredient->aliases], $ingredient->maybe) as $name) {
                if (preg_match('/^([a-z]+) ([a-z]+)$/', $name, $words) === 1) {
                    $byHead[$words[2]][$ingredient->key] ??= $words[1];
                }
            }
        }
        // "100 g lentils, 50 g cooked": of the hundred
        $doneTo = array_diff(Vocabulary::row('done-to')->list('words'), Vocabulary::row('done-to')->list('kinds'));
        [$asked, $known, $silent] = [0, 0, []];
        foreach ($byHead as $head => $kinds) {
            foreach (array_slice($kinds, 0, 4) as $key => $one) {
                foreach (array_slice($kinds, 0, 6) as $other => $said) {
                    if ($key === $other || in_array($said, $doneTo, true)) {
                        continue;
                    }
                    ++$asked;
                    $read = self::read("100 g {$one} {$head}, 50 g {$said}");
                    $isKnown = ($read[1] ?? null)?->ingredient?->key === $other && abs(($read[1]->grams->value ?? 0.0) - 50.0) < 1.0;
                    $known += $isKnown ? 1 : 0;
                    $isSaid = ($read[0]->unread ?? []) !== [] || array_filter($read, static fn(ResolvedLine $line): bool => $line->sure !== Sureness::Certain) !== [];
                    $isItself = ($read[1] ?? null)?->ingredient?->key === (self::read("50 g {$said}")[0]->ingredient->key ?? '');
                    if (!$isKnown && !$isSaid && !$isItself) {
                        $silent[] = "100 g {$one} {$head}, 50 g {$said}";
                    }
                }
            }
        }
        self::assertGreaterThan(500, $asked);
        self::assertSame([], $silent, 'a second thing was passed over in silence');
        self::assertGreaterThan(0.5 * $asked, $known, "{$known} of {$asked}");
        self::assertSame(['double-cream'], array_map(static fn(ResolvedLine $line): ?string => $line->ingredient?->key, self::read('1 cup cream, 2 tbsp cold')));
    }

    /** "1 tsp each ground cloves and ginger": over every name that is another thing in one of the forms. */
    public function test_a_form_said_once_for_several_is_doubted_where_it_makes_another_thing(): void
    {
        [$asked, $silent] = [0, []];
        foreach (Catalogue::shipped()->all() as $ingredient) {
            foreach (array_diff([mb_strtolower($ingredient->name), ...$ingredient->aliases], $ingredient->maybe) as $name) {
                $words = explode(' ', $name);
                $plain = self::read('10 g ' . implode(' ', array_slice($words, 1)))[0] ?? null;
                $isForm = count($words) === 2 && Vocabulary::has('forms', $words[0]) && $plain?->ingredient !== null
                    && $plain->ingredient->key !== $ingredient->key;
                if (!$isForm) {
                    continue;
                }
                foreach (["10 g each {$words[0]} mace and {$words[1]}", "10 g each of {$words[0]} mace, cumin and {$words[1]}", "10 g {$words[0]} mace, {$words[1]}"] as $line) {
                    ++$asked;
                    $read = self::read($line);
                    $last = $read[count($read) - 1];
                    if ($last->ingredient?->key === $plain->ingredient->key && $last->sure === Sureness::Certain) {
                        $silent[] = $line;
                    }
                }
            }
        }
        self::assertGreaterThan(100, $asked);
        self::assertSame([], $silent, 'what may have been meant in that form is certain to be in none');
        $keys = static fn(string $line): array => array_map(
            static fn(ResolvedLine $one): ?string => $one->ingredient?->key,
            self::read($line),
        );
        self::assertSame(['cloves', 'mace', 'ginger-ground'], $keys('½ tsp each of ground cloves, mace and ginger'));
        self::assertSame(['thyme', 'dried-oregano', 'dried-basil'], $keys('1 tsp each fresh thyme, dried oregano and basil'));
        self::assertSame(Sureness::Certain, self::read('dried chillies, garlic and ginger')[1]->sure, 'a plain list is none in one form');
        self::assertSame(['smoked-paprika', 'salt'], $keys('1 tsp each smoked paprika and salt'));
    }

    /** "(white parts only)": every part of a thing that a state names, in a bracket as behind a comma. */
    public function test_what_a_bracket_says_in_several_words_is_read_as_behind_a_comma(): void
    {
        foreach (FactsFile::named('states')['part only']->list('words') as $part) {
            $behind = self::read("6 spring onions, {$part}")[0];
            foreach (["6 spring onions ({$part})", "6 spring onions ({$part}), sliced"] as $line) {
                self::assertEqualsWithDelta($behind->grams->value ?? 0.0, self::read($line)[0]->grams->value ?? -1.0, 0.1, $line);
            }
        }
    }

    /** "a cup of vinegar and two of sugar": over the whole catalogue, as if the measure stood there twice. */
    public function test_a_measure_said_once_counts_for_what_comes_after(): void
    {
        [$asked, $wrong] = [0, []];
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $name = mb_strtolower($ingredient->name);
            $unit = ['cup', 'tbsp', 'tsp', 'g', 'handful'][$asked % 5];
            $alone = self::read("3 {$unit} of {$name}");
            if (count($alone) !== 1 || $alone[0]->ingredient === null || $alone[0]->grams === null || preg_match('/^[a-z -]+$/', $name) !== 1) {
                continue;
            }
            ++$asked;
            foreach (["a {$unit} of vinegar and three of {$name}", "1 {$unit} vinegar, 3 of {$name}"] as $line) {
                $read = self::read($line);
                if (count($read) !== 2 || $read[1]->ingredient?->key !== $alone[0]->ingredient->key || abs(($read[1]->grams->value ?? 0.0) / $alone[0]->grams->value - 1.0) > 0.001) {
                    $wrong[] = $line;
                }
            }
        }
        self::assertGreaterThan(700, $asked);
        self::assertSame([], $wrong);
        self::assertSame(12.0, round(self::read('a clove of garlic and one of the chillies')[1]->grams->value ?? 0.0), 'of the chillies one');
        self::assertSame(100.0, self::read('200 g sugar and 100 of water')[1]->grams?->value);
    }

    /** "2 limes: zest of 1, juice of both": over every fruit that gives both, in many orders. */
    public function test_parts_of_some_of_the_fruit_are_of_so_many(): void
    {
        $ways = [
            '3 %s: zest of 1, juice of all' => [['zest', 1], ['juice', 3]],
            '3 %s, zest of one and juice of 2' => [['zest', 1], ['juice', 2]],
            '3 %s - juice of all and zest of 1' => [['juice', 3], ['zest', 1]],
            '2 %s, both juiced, one zested' => [['juice', 2], ['zest', 1]],
            '2 %s, one zested, both juiced' => [['zest', 1], ['juice', 2]],
            '3 %s, zest of 2' => [['zest', 2]],
            '2 %s, juice and zest of both' => [['juice', 2], ['zest', 2]],
        ];
        $asked = 0;
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $fruit = mb_strtolower($ingredient->name) . 's';
            $parts = ['juice' => self::read("juice of 1 {$fruit}"), 'zest' => self::read("zest of 1 {$fruit}")];
            $keys = array_map(static fn(array $read): string => count($read) === 1 ? $read[0]->ingredient->key ?? '' : '', $parts);
            if (!str_contains($keys['juice'], 'juice') || !str_contains($keys['zest'], 'zest')) {
                continue;
            }
            foreach ($ways as $way => $truth) {
                ++$asked;
                $line = sprintf($way, $fruit);
                $read = self::read($line);
                self::assertCount(count($truth), $read, $line);
                foreach ($truth as $number => [$part, $count]) {
                    self::assertSame($keys[$part], $read[$number]->ingredient?->key, $line);
                    self::assertEqualsWithDelta($count * ($parts[$part][0]->grams->value ?? 0.0), $read[$number]->grams->value ?? 0.0, 0.2, $line);
                }
            }
        }
        self::assertGreaterThan(20, $asked);
        self::assertSame(Sureness::Likely, self::read('2 lemons, zest of 1')[0]->sure, 'what becomes of the rest is not said');
    }

    /** "Olive oil - 120 ml extra virgin": which kind it is stands behind the amount, over every name of two words. */
    public function test_the_kind_of_a_thing_may_stand_behind_its_amount(): void
    {
        [$asked, $silent, $known] = [0, [], 0];
        $doneTo = [...array_diff(Vocabulary::row('done-to')->list('words'), Vocabulary::row('done-to')->list('kinds')), 'roasted', 'charred'];
        foreach (Catalogue::shipped()->all() as $ingredient) {
            foreach (array_diff([mb_strtolower($ingredient->name), ...$ingredient->aliases], $ingredient->maybe) as $name) {
                [$kind, $head] = [...explode(' ', $name), '', ''];
                // "tomatoes, chopped" are fresh ones
                if (in_array($kind, $doneTo, true) || preg_match('/^[a-z]+ [a-z]+$/', $name) !== 1 || in_array(self::read("50 g {$head}")[0]->ingredient?->key, [null, $ingredient->key], true) || in_array($head, ['halves', 'dressing'], true)) {
                    continue;
                }
                foreach (["{$head} - 50 g {$kind}", "{$head}: 50 g {$kind}", "50 g {$head}, {$kind}"] as $line) {
                    ++$asked;
                    $read = self::read($line);
                    $isRight = count($read) === 1 && $read[0]->ingredient?->key === $ingredient->key && abs(($read[0]->grams->value ?? 0.0) - 50.0) < 0.1;
                    $known += $isRight ? 1 : 0;
                    $isSaid = array_filter($read, static fn(ResolvedLine $one): bool => $one->sure !== Sureness::Certain || $one->unread !== []) !== [];
                    if (!$isRight && !$isSaid) {
                        $silent[] = $line;
                    }
                }
            }
        }
        self::assertGreaterThan(300, $asked);
        self::assertSame([], $silent);
        self::assertGreaterThan(0.9 * $asked, $known, "{$known} of {$asked}");
        self::assertSame(['salt', 'garlic'], array_map(static fn(ResolvedLine $one): ?string => $one->ingredient?->key, self::read('salt, 2 cloves garlic')));
    }

    /** "200 g sugar and half as much salt": over every way to say so many times as much. */
    public function test_so_many_times_as_much_is_measured(): void
    {
        $asked = 0;
        foreach (Vocabulary::row('times-as-much')->fields() as $field) {
            foreach (Vocabulary::row('times-as-much')->list($field) as $said) {
                foreach (['300 g sugar and %s salt', '300 g sugar, %s salt', '300 g mustard seeds and %s brown'] as $line) {
                    ++$asked;
                    $read = self::read(sprintf($line, $said));
                    self::assertCount(2, $read, sprintf($line, $said));
                    self::assertEqualsWithDelta(300.0 * (float) Vocabulary::valueOf('times', $field), $read[1]->grams->value ?? 0.0, 0.5, sprintf($line, $said));
                }
            }
        }
        self::assertGreaterThan(150, $asked);
        self::assertSame(22.5, self::read('lemon ½ juice')[0]->grams?->value);
    }

    /** "¼ of a cabbage", "half of the onion": over all that is counted. */
    public function test_a_share_of_one_is_that_share(): void
    {
        $asked = 0;
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $name = mb_strtolower($ingredient->name);
            $one = self::read("1 {$name}");
            $isCounted = isset($ingredient->portions->units['whole']) && count($one) === 1 && $one[0]->ingredient?->key === $ingredient->key
                && preg_match('/^[a-z -]+$/', $name) === 1;
            if (!$isCounted) {
                continue;
            }
            foreach (['¼' => 0.25, '1/2' => 0.5, '2/3' => 2 / 3, 'half' => 0.5, 'a quarter' => 0.25] as $share => $part) {
                foreach (['of a', 'of the', 'of one'] as $of) {
                    ++$asked;
                    $read = self::read("{$share} {$of} {$name}");
                    self::assertCount(1, $read, "{$share} {$of} {$name}");
                    self::assertEqualsWithDelta($part * ($one[0]->grams->value ?? 0.0), $read[0]->grams->value ?? 0.0, 0.02 + 0.01 * ($one[0]->grams->value ?? 0.0), "{$share} {$of} {$name}");
                }
            }
        }
        self::assertGreaterThan(1000, $asked);
    }

    /** "thyme - a sprig": over every noun that something is counted by. */
    public function test_what_a_thing_is_counted_by_may_stand_behind_it(): void
    {
        [$asked, $wrong] = [0, []];
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $name = mb_strtolower($ingredient->name);
            foreach (array_intersect(array_keys($ingredient->portions->units), ['sprig', 'clove', 'leaf', 'stick', 'bunch', 'slice', 'tin', 'jar']) as $noun) {
                $plain = self::read("2 {$noun} {$name}");
                if (count($plain) !== 1 || $plain[0]->ingredient?->key !== $ingredient->key || $plain[0]->grams === null || str_contains($name, $noun)) {
                    continue;
                }
                foreach (["{$name} - 2 {$noun}", "{$name}: two {$noun}", "{$name}, 2 {$noun}"] as $line) {
                    ++$asked;
                    $read = self::read($line);
                    if (count($read) !== 1 || $read[0]->ingredient?->key !== $ingredient->key || abs(($read[0]->grams->value ?? 0.0) / $plain[0]->grams->value - 1.0) > 0.01) {
                        $wrong[] = $line;
                    }
                }
            }
        }
        self::assertGreaterThan(500, $asked);
        self::assertSame([], $wrong);
    }

    /** "2 cups of water (plus ½ cup for the slurry)" */
    public function test_what_a_bracket_adds_goes_in_as_well(): void
    {
        foreach (['water', 'sugar', 'olive oil', 'soy sauce', 'cream'] as $name) {
            foreach (['plus ½ cup', 'plus ½ cup for the slurry', '+ ½ cup to serve'] as $more) {
                $grams = array_sum(array_map(static fn(ResolvedLine $line): float => $line->grams->value ?? 0.0, self::read("2 cups {$name} ({$more})")));
                self::assertEqualsWithDelta(2.5 * (self::read("1 cup {$name}")[0]->grams->value ?? 0.0), $grams, 0.5, "{$name} ({$more})");
            }
            self::assertCount(1, self::read("2 cups {$name} (plus extra for frying)"));
        }
        self::assertSame(['gherkin'], array_map(static fn(ResolvedLine $one): ?string => $one->ingredient?->key, self::read('1 x 340 g jar of gherkins, brine and all')));
    }

    /** "4 ripe but firm peaches": over all that grows. */
    public function test_but_between_two_qualities_joins_them(): void
    {
        $asked = 0;
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $name = mb_strtolower($ingredient->name);
            if (array_intersect(['fruit', 'vegetable'], $ingredient->roles) === [] || preg_match('/^[a-z]+$/', $name) !== 1) {
                continue;
            }
            ++$asked;
            $plain = self::read("200 g ripe firm {$name}")[0];
            $said = self::read("200 g ripe but firm {$name}");
            self::assertSame([$plain->ingredient?->key, $plain->sure, 1], [$said[0]->ingredient?->key, $said[0]->sure, count($said)], $name);
        }
        self::assertGreaterThan(60, $asked);
        self::assertNotSame([], self::read('100 g sugar but no salt')[0]->unread);
    }

    /** "a knob of butter the size of a walnut": nothing that a thing is as large as goes in. */
    public function test_what_a_thing_is_as_large_as_does_not_go_in(): void
    {
        $asked = 0;
        foreach (['a knob of butter', '20 g ginger', '2 onions', 'a lump of palm sugar', '1 potato'] as $thing) {
            $plain = self::read($thing);
            foreach (['walnut', 'egg', 'lemon', 'hazelnut', 'golf ball', 'grain of rice', 'peanut', 'lime'] as $size) {
                foreach (['the size of a', 'about the size of an', ', roughly the size of a', 'as big as your'] as $says) {
                    ++$asked;
                    $read = self::read("{$thing} {$says} {$size}");
                    self::assertCount(1, $read, "{$thing} {$says} {$size}");
                    self::assertSame([$plain[0]->ingredient?->key, $plain[0]->grams?->value], [$read[0]->ingredient?->key, $read[0]->grams?->value], "{$thing} {$says} {$size}");
                }
            }
        }
        self::assertSame(160, $asked);
        self::assertNotSame([], self::read('tamarind the size of an egg')[0]->unread, 'how much that is is not known');
    }

    public function test_a_couple_a_few_and_a_dozen_are_so_many(): void
    {
        $asked = 0;
        foreach (['tablespoons of milk', 'cups of sugar', 'cloves of garlic', 'onions', 'sprigs of thyme', 'star anise', 'grams of salt', 'tins of tomatoes'] as $thing) {
            foreach (['couple' => 2, 'few' => 3, 'dozen' => 12] as $said => $count) {
                $wanted = self::read("{$count} {$thing}")[0]->grams->value ?? 0.0;
                foreach (["{$said} of {$thing}", "a {$said} of {$thing}", "a {$said} {$thing}", "{$said} {$thing}"] as $line) {
                    ++$asked;
                    self::assertEqualsWithDelta($wanted, self::read($line)[0]->grams->value ?? 0.0, 0.01 * $wanted, $line);
                }
            }
        }
        self::assertSame(96, $asked);
        self::assertSame([Sureness::Likely, 'ginger-ground'], [self::read('1 tsp ginger')[0]->sure, self::read('1 tsp ginger')[0]->ingredient?->key]);
    }

    /** "350 g sugar, 50 g of it brown": what is a part of the first is none besides it. */
    public function test_a_part_of_the_thing_before_is_taken_from_it(): void
    {
        foreach ([['sugar', 'brown'], ['onions', 'red'], ['vinegar', 'malt'], ['peppers', 'green'], ['flour', 'rye'], ['tomatoes', 'cherry'], ['lentils', 'cooked']] as [$name, $kind]) {
            foreach (['of it', 'of them', 'of which'] as $of) {
                $read = self::read("500 g {$name}, 200 g {$of} {$kind}");
                $grams = array_sum(array_map(static fn(ResolvedLine $line): float => $line->grams->value ?? 0.0, $read));
                self::assertEqualsWithDelta(500.0, $grams, 0.5, "{$name} {$of} {$kind}");
            }
        }
        foreach (['3 onions, 1 red', '100 g sugar, 150 g of it brown', '1 cup sugar, 2 tbsp brown'] as $either) {
            self::assertSame(Sureness::Likely, self::read($either)[1]->sure, $either);
        }
        self::assertSame('1 clove garlic, more, at the end', self::read('3 cloves garlic + 1 more at the end')[1]->written->text);
    }

    /** "Caster (superfine) sugar": two names of one thing that end alike, written as one, over the whole catalogue. */
    public function test_another_name_in_the_middle_of_a_name_is_no_other_thing(): void
    {
        [$asked, $known] = [0, 0];
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $names = array_values(array_filter(
                [mb_strtolower($ingredient->name), ...$ingredient->aliases],
                static fn(string $name): bool => preg_match('/^[a-z]+(?: [a-z]+){1,2}$/', $name) === 1 && !in_array($name, $ingredient->maybe, true),
            ));
            foreach (array_slice($names, 0, 4) as $name) {
                foreach (array_slice($names, 0, 4) as $other) {
                    [$first, $rest] = explode(' ', $name, 2);
                    [$second, $same] = explode(' ', $other, 2);
                    if ($first === $second || $rest !== $same) {
                        continue;
                    }
                    ++$asked;
                    $read = self::read("20 g {$first} ({$second}) {$rest}");
                    self::assertCount(1, $read, "{$first} ({$second}) {$rest}");
                    $known += $read[0]->ingredient?->key === $ingredient->key ? 1 : 0;
                    $isWrong = $read[0]->ingredient !== null && $read[0]->ingredient->key !== $ingredient->key;
                    self::assertFalse($isWrong && $read[0]->sure === Sureness::Certain, "{$first} ({$second}) {$rest}");
                }
            }
        }
        self::assertGreaterThan(150, $asked);
        self::assertGreaterThan(0.97 * $asked, $known, "{$known} of {$asked}");
        self::assertSame(Sureness::Likely, self::read('100 ml soy (dark) sauce')[0]->sure, 'what the bracket changes is not certain');
        self::assertSame(Sureness::Likely, self::read('100 ml white (malt) vinegar')[0]->sure);
    }

    /** Chilli by the teaspoon is dry, and ten times as hot as fresh: it is only likely, unless its pods are named. */
    public function test_chilli_by_the_teaspoon_is_dry_unless_it_is_said_to_be_fresh(): void
    {
        self::assertSame(['chilli-flakes', Sureness::Likely], [self::read('1/2 tsp chilli')[0]->ingredient?->key, self::read('1/2 tsp chilli')[0]->sure]);
        foreach (['1 tsp fresh chilli', '1 tsp chilli, finely chopped', '2 red chillies', '20 g chilli'] as $line) {
            self::assertSame('red-chilli', self::read($line)[0]->ingredient?->key, $line);
        }
    }

    /** Of an amount by feel and one by a spoon or a scale, in whichever order, the measured one counts. */
    public function test_a_measure_beside_an_amount_by_feel_counts(): void
    {
        foreach (['slug', 'glug', 'splash', 'drizzle', 'dash'] as $feel) {
            foreach (['2 tbsp' => 27.5, '30 ml' => 27.9] as $said => $grams) {
                foreach (["a {$feel} of brandy ({$said})", "{$said} brandy (a {$feel})"] as $line) {
                    self::assertEqualsWithDelta($grams, self::read($line)[0]->grams?->value, 2.0, $line);
                }
            }
        }
    }

    public function test_what_a_cook_can_afford_is_no_part_of_a_name(): void
    {
        foreach (['vanilla extract', 'olive oil', 'red wine vinegar', 'tomatoes'] as $name) {
            foreach (['you can afford', 'you can find', 'you have', 'that you like best'] as $said) {
                $read = self::read("20 g of the best {$name} {$said}");
                self::assertSame(self::read("20 g {$name}")[0]->ingredient?->key, $read[0]->ingredient?->key, "{$name} {$said}");
                self::assertEqualsWithDelta(20.0, $read[0]->grams?->value, 0.1, "{$name} {$said}");
            }
        }
    }

    public function test_a_cup_that_is_loosely_packed_is_not_pressed_full(): void
    {
        $count = 0;
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $forms = $ingredient->portions->forms;
            $name = mb_strtolower($ingredient->name);
            $packed = self::read("1 cup packed {$name}")[0]->grams->value ?? 0.0;
            if (!isset($forms['packed']) || isset($forms['loosely'])) {
                continue;
            }
            ++$count;
            $loose = self::read("1 cup loosely packed {$name}")[0]->grams->value ?? INF;
            self::assertLessThan($packed, $loose, $name);
        }
        self::assertGreaterThan(2, $count);
    }

    /** @return list<array{string, string}> names of the catalogue, and others that begin with all of them */
    private static function lengthened(): array
    {
        $names = array_map(
            static fn($ingredient): string => mb_strtolower($ingredient->name),
            array_values(Catalogue::shipped()->all()),
        );
        $pairs = [];
        foreach ($names as $short) {
            foreach ($names as $long) {
                if (str_starts_with($long, "{$short} ") && preg_match('/^[a-z ]+$/', $long) === 1) {
                    $pairs[] = [$short, $long];
                }
            }
        }

        return $pairs;
    }

    /** @return list<ResolvedLine> */
    private static function read(string $line): array
    {
        return (new LineResolver(Catalogue::shipped(), Measures::Metric))->entries($line);
    }
}
