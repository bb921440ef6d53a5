<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Tests\core\Family\Classics;
use Tests\core\Family\References;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Balance\SauceColour;
use Vinculum\Chemistry\Component;
use Vinculum\Cooking\MethodReader;
use Vinculum\Correction\Addition;
use Vinculum\Correction\Advice;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Complaint;
use Vinculum\Correction\Correction;
use Vinculum\Correction\Wish;
use Vinculum\Facts\FactsFile;
use Vinculum\Family\FamilyBook;
use Vinculum\Family\PlainReference;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Quantity\Amount;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Sensory\Axis;

/** What is done about a sauce of which the trouble is no taste (handbook, "Correcting a batch" a, b, i). */
final class RemediesTest extends TestCase
{
    private const WHITE_SAUCE = ['50 g butter', '50 g flour', '600 ml milk', '½ tsp salt'];
    private const SIMMERED = ['Melt the butter, stir in the flour, add the milk and simmer for 10 minutes.'];

    /** Every word over every classic: an answer that says what is done, with nothing that somebody could not eat before. */
    public function test_every_word_is_answered_for_every_sauce(): void
    {
        $answers = 0;
        foreach (Classics::all() as [, $title, $balance]) {
            foreach (array_keys(FactsFile::named('remedies')) as $word) {
                $found = self::ask($balance, (string) $word)->corrections;
                self::assertNotSame([], $found, "{$title}: {$word}");
                foreach ($found as $one) {
                    ++$answers;
                    self::assertNotNull($one->does, "{$title}: {$word}");
                    self::assertMatchesRegularExpression('/^[A-Z].{15,}\.$/', $one->does->text);
                    self::assertSame([], $one->allergensAdded, "{$title}: {$word}");
                    self::assertTrue(is_finite($one->distanceAfter));
                    foreach ($one->additions as $addition) {
                        self::assertTrue($balance->formula->isFitFor($addition->ingredient), "{$title}: {$word}");
                    }
                }
            }
        }

        self::assertGreaterThan(1000, $answers);
    }

    /** What is boiled down weighs less in the pan, and what is loosened or thickened weighs more. */
    public function test_thin_is_boiled_down_and_thick_is_loosened(): void
    {
        foreach (Classics::all() as [, $title, $balance]) {
            $grams = $balance->mixture->grams();
            foreach (self::ask($balance, 'too-thin')->corrections as $one) {
                if ($one->does?->kind === 'reduce') {
                    self::assertLessThan($grams, $one->does->panReadsGrams ?? INF, $title);
                    $oils = array_filter(
                        $balance->formula->lines,
                        static fn(ResolvedLine $line): bool => in_array('oil', $line->ingredient->kinds ?? [], true),
                    );
                    $isOfOil = $oils !== [] && $balance->mixture->percent(Component::Fat) >= 25.0;
                    self::assertFalse($isOfOil, "{$title}: an emulsion splits, and oil boils nothing down");
                }
            }
            foreach (self::ask($balance, 'too-thick')->corrections as $one) {
                self::assertGreaterThan($grams, $one->mixture->grams(), $title);
            }
        }
    }

    /** A white sauce holds milk, and is cooked: it is boiled down or bound, and not hung in a cloth. */
    public function test_what_was_cooked_is_not_drained_of_its_whey(): void
    {
        $kinds = static fn(array $method): array => array_map(
            static fn(Correction $one): ?string => $one->does?->kind,
            self::ask(self::sauce(self::WHITE_SAUCE, $method), 'too-thin')->corrections,
        );

        self::assertSame(['whisk', 'reduce'], $kinds(self::SIMMERED));
        self::assertSame(['strain'], $kinds(['Stir everything together.']));
    }

    /** What swims on a gravy is lifted off; a mayonnaise holds its fat. */
    public function test_greasy_is_skimmed_where_fat_swims(): void
    {
        $first = static fn(array $lines): ?string => self::ask(self::sauce($lines, ['Mix.']), 'greasy')->corrections[0]->does?->kind;

        self::assertSame('drain', $first(['50 g butter', '40 g flour', '600 ml beef stock']));
        self::assertSame('whisk', $first(['2 egg yolks', '250 ml sunflower oil', '1 tbsp lemon juice']));
    }

    /** Nothing raw and no dry starch goes into what was cooked, whatever the tongue says of it. */
    public function test_no_dry_starch_goes_into_what_was_cooked(): void
    {
        foreach (['50 g flour', '20 g cornflour', '30 g potato starch'] as $starch) {
            $lines = ['50 g butter', $starch, '600 ml beef stock', '2 tbsp soy sauce', '1 small onion'];
            $sauce = self::sauce($lines, ['Melt the butter, add the starch and the stock and simmer for 10 minutes.']);
            foreach (['too-salty', 'too-sour', 'not-salty', 'flat', 'too-sweet'] as $word) {
                foreach (self::ask($sauce, $word)->corrections as $one) {
                    self::assertSame([], array_intersect(
                        self::keysOf($one),
                        ['plain-flour', 'cornflour', 'potato-starch', 'onion'],
                    ), "{$starch}: {$word}");
                }
            }
        }
    }

    public function test_a_flat_white_sauce_gets_salt_for_acid_has_no_place_in_it(): void
    {
        $found = self::ask(self::sauce(self::WHITE_SAUCE, self::SIMMERED), 'flat')->corrections;

        self::assertSame(['salt'], self::keysOf($found[0]));
        self::assertLessThan(2.0, $found[0]->addedGrams);
    }

    /** Of pods no more than twice what is there goes in at once. */
    public function test_heat_that_is_missing_is_no_bowl_of_pods(): void
    {
        foreach (['1 jalapeno', '2 red chillies', '1 serrano'] as $pod) {
            $salsa = self::sauce(['4 tomatoes', '½ onion', $pod, '1 tbsp lime juice', '½ tsp salt'], ['Chop and mix.']);
            $there = $salsa->formula->lines[2]->grams->value ?? 0.0;
            foreach (self::ask($salsa, 'not-hot')->corrections as $one) {
                foreach ($one->additions as $addition) {
                    if ($addition->ingredient->key === $salsa->formula->lines[2]->ingredient?->key) {
                        self::assertLessThan(2.6 * $there, $addition->grams, $pod);
                    }
                }
            }
        }
    }

    /**
     * Every word of taste over every classic, as a cook would nod: milk is thinned with milk, fat only goes where fat is
     * what carries it, raw wine goes into nothing cooked, and a thick sauce is loosened in words that fit it.
     */
    public function test_what_is_added_has_its_place_in_the_sauce(): void
    {
        [$milky, $seen] = [0, 0];
        foreach (Classics::all() as [, $title, $balance]) {
            $isMilky = array_filter(
                $balance->formula->lines,
                static fn(ResolvedLine $line): bool => $line->countsInTheMixture()
                    && in_array('milk-like', $line->ingredient->kinds ?? [], true)
                    && in_array('base', $line->ingredient->roles, true),
            ) !== [];
            foreach (['too-salty', 'too-sour', 'too-sweet', 'too-hot'] as $word) {
                $corrections = self::ask($balance, $word)->corrections;
                foreach ($corrections as $correction) {
                    $keys = array_map(static fn(Addition $one): string => $one->ingredient->key, $correction->additions);
                    foreach ($correction->additions as $addition) {
                        ++$seen;
                        $mixture = $addition->ingredient->composition->mixture;
                        self::assertTrue(
                            $mixture->percent(Component::Fat) < 30.0 || $balance->mixture->percent(Component::Fat) >= 20.0,
                            "{$title}: {$word}: {$addition->ingredient->key}",
                        );
                        self::assertFalse(
                            $balance->treatment->isCooked && $mixture->percent(Component::Ethanol) >= 5.0,
                            "{$title}: {$word}: {$addition->ingredient->key}",
                        );
                    }
                    if ($isMilky && array_intersect($keys, ['water']) !== []) {
                        ++$milky;
                    }
                }
            }
            foreach (self::ask($balance, 'too-thick')->corrections as $one) {
                self::assertSame(
                    Weighed::balance($balance)->isCooked(),
                    str_contains((string) $one->does?->text, 'warm'),
                    $title,
                );
            }
        }

        self::assertSame(0, $milky);
        self::assertGreaterThan(500, $seen);
    }

    public function test_curry_mayonnaise_and_pesto_are_mended_as_a_cook_would(): void
    {
        $first = static fn(array $lines, array $method, string $word): string => self::ask(
            self::sauce($lines, $method),
            $word,
        )->corrections[0]->additions[0]->ingredient->key;

        self::assertSame('coconut-milk', $first(
            ['2 tbsp red curry paste', '400 ml coconut milk', '1 tbsp fish sauce', '1 tbsp palm sugar'],
            ['Fry the paste, add the coconut milk and simmer for 10 minutes.'],
            'too-hot',
        ));
        self::assertSame('white-sugar', $first(
            ['2 egg yolks', '1 tsp mustard', '250 ml sunflower oil', '1 tbsp lemon juice', '½ tsp salt'],
            ['Whisk.'],
            'too-sour',
        ));
        self::assertSame('olive-oil', $first(
            ['50 g basil', '30 g pine nuts', '40 g parmesan', '100 ml olive oil', '1 clove garlic'],
            ['Pound everything together.'],
            'too-thick',
        ));
        self::assertSame('water', $first(
            ['120 ml soy sauce', '120 ml mirin', '60 ml sake', '3 tbsp sugar'],
            ['Simmer for 10 minutes.'],
            'too-salty',
        ));
    }

    /** At the boil yoghurt and soured cream split, whatever else is in the pan: starch is held below it. */
    public function test_what_splits_is_never_boiled_down(): void
    {
        $asked = 0;
        foreach (FactsFile::named('remedies')['too-thin']->list('splits') as $milk) {
            $name = Catalogue::shipped()->get($milk)->name;
            foreach (['200 ml beef stock', '400 g tinned tomatoes', '300 g mushrooms', '100 ml white wine'] as $base) {
                $sauce = Kitchen::shipped()->weigh(Kitchen::shipped()->read(
                    "# Sauce\n\n30 g butter\n1 onion\n{$base}\n200 g {$name}\n\nMethod:\nSimmer 15 minutes.\nStir in the {$name}.\n",
                ));
                foreach ((new Adviser($sauce))->answer(new Wish(Complaint::named('too-thin')))->corrections as $one) {
                    self::assertNotSame('reduce', $one->does?->kind, "{$name} in {$base}");
                    self::assertStringNotContainsString('at the boil and', (string) $one->does?->text);
                    ++$asked;
                }
            }
        }
        self::assertGreaterThan(30, $asked);
    }

    /** Where no chilli is in it, a sauce is hot by its own pepper, wasabi or horseradish. */
    public function test_what_bites_by_itself_gets_more_of_that(): void
    {
        [$asked, $catalogue] = [0, Catalogue::shipped()];
        foreach ($catalogue->keys() as $key) {
            $hot = $catalogue->get($key);
            if (
                !in_array('heat', $hot->roles, true)
                || $hot->composition->mixture->get(Component::CapsaicinoidHeat) > 0.0
                || array_intersect(['egg', 'milk'], $hot->suitability->allergens) !== []
            ) {
                continue;
            }
            $lines = [ResolvedLine::ofGrams($catalogue->get('mayonnaise'), Amount::of(200.0, 0.0)), ResolvedLine::ofGrams($hot, Amount::of(8.0, 0.0))];
            $sauce = Weighed::formula(Formula::of($lines));
            $first = (new Adviser($sauce))->answer(new Wish(Complaint::named('not-hot')))->corrections[0]->additions[0] ?? null;
            self::assertSame($key, $first?->ingredient->key);
            self::assertEqualsWithDelta(4.0, $first->grams, 2.0, $key);
            ++$asked;
        }
        self::assertGreaterThan(8, $asked);
    }

    /** A pinch does nothing for what was never salted. */
    public function test_what_is_hardly_salted_is_brought_to_where_salt_is_tasted(): void
    {
        foreach (['800 g tinned tomatoes', '500 g minced beef', '600 ml single cream', '500 g pumpkin', '600 ml coconut milk'] as $base) {
            $sauce = Kitchen::shipped()->weigh(Kitchen::shipped()->read("# Sauce\n\n{$base}\n1 onion\n2 tbsp olive oil\n"));
            $first = (new Adviser($sauce))->answer(new Wish(Complaint::named('not-salty')))->corrections[0];
            self::assertGreaterThan(0.5, $first->after->salt, $base);
            self::assertLessThan(1.0, $first->after->salt, $base);
        }
    }

    /**
     * Over every family's plain sauce, a few words each: no flesh, no spice and no leaf as a thinner, no water into what
     * is strewn, no cup of it into an emulsion, nothing raw but chillies into what is cooked; and there is an answer.
     */
    public function test_of_every_family_a_word_is_answered_with_what_a_cook_would_add(): void
    {
        $words = Complaint::keys();
        [$answered, $asked] = [0, 0];
        foreach (array_values(FamilyBook::all()) as $number => $family) {
            self::assertSame($family->key === 'dry-rub', self::isStrewn($family->key), $family->key);
            $balance = PlainReference::among($family, References::all()[$family->key])->balance;
            $sauce = Weighed::balance($balance, $family->key, Measures::Metric);
            $grams = $balance->mixture->grams();
            $most = max(array_map(static fn(ResolvedLine $one): float => $one->grams->value ?? 0.0, $balance->formula->lines));
            foreach ([0, 5, 10, 15] as $later) {
                $word = $words[($number + $later) % count($words)];
                $corrections = (new Adviser($sauce))->answer(new Wish(Complaint::named($word)))->corrections;
                ++$asked;
                $answered += (int) ($corrections !== []);
                foreach (array_merge([], ...array_map(static fn(Correction $one): array => $one->additions, $corrections)) as $one) {
                    $kinds = $one->ingredient->kinds;
                    $said = "{$family->key}, {$word}: {$one->measure->of($one->ingredient->name)}";
                    // pepper, where it is what the sauce is hot by
                    $heats = $one->ingredient->composition->mixture->get(Component::CapsaicinoidHeat) > 0.0
                        || $word === 'not-hot' && in_array('heat', $one->ingredient->roles, true);
                    $mine = max([0.0, ...array_map(
                        static fn(ResolvedLine $line): float => $line->ingredient?->kind() === $one->ingredient->kind()
                            ? $line->grams->value ?? 0.0
                            : 0.0,
                        $balance->formula->lines,
                    )]);
                    self::assertTrue(
                        array_intersect(['meat', 'fish', 'shellfish'], $kinds) === []
                        || array_intersect(['broth', 'preserved', 'bottled'], $kinds) !== [],
                        $said,
                    );
                    self::assertTrue($heats || !in_array('spice', $kinds, true) || $mine >= 0.5 * $most
                        || array_intersect(['acid', 'salt', 'umami', 'sweetener'], $one->ingredient->roles) !== [], $said);
                    self::assertTrue(!$sauce->isCooked() || $heats || $kinds !== ['plant', 'fresh'], $said);
                    if (in_array('water', $one->ingredient->roles, true)) {
                        self::assertFalse($balance->isDry(), $said);
                        self::assertTrue(
                            $balance->mixture->percent(Component::Fat) < 40.0 || $one->grams <= 0.1 * $grams,
                            $said,
                        );
                    }
                }
            }
        }
        self::assertGreaterThan(550, $asked);
        self::assertGreaterThan(0.9, $answered / $asked);
    }

    /** Water first thins only what is thin (handbook, (c)): over every classic, asked what is too sour or too sweet. */
    public function test_what_stands_is_not_watered_first_and_milk_gets_nothing_sharp(): void
    {
        [$asked, $milky] = [0, 0];
        foreach (Classics::all() as [, $title, $balance]) {
            $hasAcid = array_filter(
                $balance->formula->lines,
                static fn(ResolvedLine $line): bool => in_array('acid', $line->ingredient->roles ?? [], true),
            ) !== [];
            $milk = array_sum(array_map(
                static fn(ResolvedLine $line): float => in_array('dairy', $line->ingredient->kinds ?? [], true)
                    ? $line->grams->value ?? 0.0
                    : 0.0,
                $balance->formula->lines,
            ));
            if (!$hasAcid && $milk >= 0.3 * $balance->mixture->grams() && $milk > 0.0) {
                ++$milky;
                foreach (['too-salty', 'too-sweet', 'flat'] as $word) {
                    foreach (self::ask($balance, $word)->corrections as $one) {
                        foreach ($one->additions as $addition) {
                            self::assertNotSame('acid', $addition->ingredient->roles[0] ?? '', "{$title}: {$word}");
                        }
                    }
                }
            }
            $taste = $balance->taste;
            if ($balance->body->class === 'thin' || $taste->sweet < 2.0 || $taste->sour < 0.15) {
                continue;
            }
            ++$asked;
            $isOily = $balance->mixture->percent(Component::Fat) >= 20.0;
            foreach ($hasAcid && !$isOily ? ['too-sweet'] : [] as $word) {
                $first = self::ask($balance, $word)->corrections[0] ?? null;
                self::assertNotSame(['water'], $first === null ? [] : self::keysOf($first), "{$title}: {$word}");
            }
        }
        self::assertGreaterThan(20, $asked);
        self::assertGreaterThan(1, $milky);
    }

    /** Whatever plant makes it green, acid turns it grey. */
    public function test_green_is_never_brightened_with_acid(): void
    {
        [$asked, $catalogue] = [0, Catalogue::shipped()];
        foreach ($catalogue->keys() as $key) {
            $green = $catalogue->get($key);
            $sauce = Weighed::formula(Formula::of([ResolvedLine::ofGrams($green, Amount::of(300.0, 0.0))]));
            if (!in_array('plant', $green->kinds, true) || SauceColour::of($sauce->formula, 0.0)?->isGreen() !== true) {
                continue;
            }
            ++$asked;
            foreach ((new Adviser($sauce))->answer(new Wish(Complaint::named('dull')))->corrections as $one) {
                foreach ($one->additions as $addition) {
                    self::assertNotContains('acid', $addition->ingredient->roles, $key);
                }
            }
        }
        self::assertGreaterThan(20, $asked);
    }

    /** Over every reference of every family: what was never on the heat is not told that something in it browned. */
    public function test_a_cold_sauce_is_never_told_that_it_browned(): void
    {
        $asked = 0;
        foreach (References::all() as $family => $references) {
            foreach (array_slice($references, 0, 2) as $reference) {
                $sauce = Weighed::balance($reference->balance, $family, Measures::Metric);
                if ($sauce->isCooked() || $reference->balance->isDry()) {
                    continue;
                }
                ++$asked;
                $answers = (new Adviser($sauce))->answer(new Wish(Complaint::named('dull')))->corrections;
                self::assertNotSame([], $answers, $family);
                foreach ($answers as $one) {
                    self::assertStringNotContainsString('stay brown', (string) $one->does?->text, $family);
                }
            }
        }
        self::assertGreaterThan(100, $asked);
        $rose = self::ask(self::sauce(['100 g mayonnaise', '40 g ketchup', '1 tsp lemon juice'], []), 'dull')->corrections[0];
        self::assertSame(['ketchup'], self::keysOf($rose));
    }

    /** What is brought to a sauce without any acid is tasted: no quarter of a teaspoon in a bowl of dip. */
    public function test_what_wakes_a_flat_sauce_is_tasted(): void
    {
        foreach (['400 g tinned black beans', '400 g chickpeas', '500 g carrots', '300 g cooked lentils', '400 g sweet potato', '300 g peas'] as $base) {
            $sauce = self::sauce([$base, '1 tbsp olive oil', '1 tsp cumin', '3 g salt'], []);
            $first = self::ask($sauce, 'flat')->corrections[0];
            $grams = array_sum(array_map(static fn(Addition $one): float => $one->grams, $first->additions));
            self::assertGreaterThanOrEqual(4.0, $grams, $base);
            self::assertLessThan(20.0, $grams, $base);
        }
        // a dressing is mixed one to three before it is called greasy no more
        foreach (['olive oil', 'sunflower oil', 'walnut oil'] as $oil) {
            $first = self::ask(self::sauce(["90 ml {$oil}", '20 ml red wine vinegar', '1 tsp dijon mustard', '1 g salt'], []), 'greasy')->corrections[0];
            self::assertEqualsWithDelta(7.0, $first->additions[0]->grams, 1.5, $oil);
        }
    }

    /** Only what is red is told that it turns redder. */
    public function test_what_acid_does_to_a_colour_is_said_of_that_colour(): void
    {
        $says = static fn(string $fruit): string => (string) self::ask(
            self::sauce(["500 g {$fruit}", '50 g sugar'], ['Simmer for 20 minutes.']),
            'dull',
        )->corrections[0]->does?->text;
        foreach (['raspberries', 'blackberries', 'beetroot', 'tomatoes', 'damsons'] as $red) {
            self::assertStringContainsString('red and purple', $says($red), $red);
        }
        foreach (['apples', 'pears', 'mango', 'quinces', 'bananas'] as $pale) {
            self::assertStringContainsString('from browning', $says($pale), $pale);
        }
    }

    /** Lumps of what splits are sieved off the heat, and only flour is brought to the boil again. */
    public function test_no_lump_of_cheese_or_soured_milk_is_boiled_out(): void
    {
        foreach (['150 g cheddar' => false, '100 g gruyere' => false, '200 g soured cream' => false, '200 g yoghurt' => false, '2 egg yolks' => false, '1 tsp mustard' => true] as $brings => $isBoiled) {
            $sauce = self::sauce([...self::WHITE_SAUCE, $brings], [...self::SIMMERED, 'Stir in the rest.']);
            $text = (string) self::ask($sauce, 'lumpy')->corrections[0]->does?->text;
            self::assertSame($isBoiled, str_contains($text, 'bring it once to the boil'), $brings);
        }
    }

    /** What has no acid to answer its sweetness with gets a pinch of salt first, fruit gets acid. */
    public function test_caramel_that_is_too_sweet_gets_salt_and_fruit_gets_acid(): void
    {
        $first = static fn(array $lines): array => self::keysOf(self::ask(self::sauce($lines, ['Simmer for 10 minutes.']), 'too-sweet')->corrections[0]);
        foreach ([['200 g sugar', '150 ml double cream'], ['200 g dark chocolate', '200 ml double cream', '80 g sugar'], ['500 ml milk', '120 g sugar', '20 g cornflour']] as $lines) {
            self::assertSame(['salt'], $first([...$lines, '30 g butter']), $lines[0]);
        }
        foreach (['apples', 'plums', 'mango'] as $fruit) {
            self::assertSame(['lemon-juice'], $first(["1 kg {$fruit}", '300 g sugar', '1 tbsp lemon juice']), $fruit);
        }
    }

    /** Butter held by yolks stands as oil held by yolks does; it is no custard to be heated on. */
    public function test_butter_that_is_held_by_yolks_is_thickened_with_butter(): void
    {
        foreach (['butter', 'ghee'] as $fat) {
            $name = Catalogue::shipped()->get($fat)->name;
            foreach (['1 tbsp lemon juice', '2 tbsp white wine vinegar'] as $sharp) {
                $sauce = self::sauce(["200 g {$name}", '3 egg yolks', $sharp, '¼ tsp salt'], ['Whisk over simmering water for 5 minutes.']);
                $first = self::ask($sauce, 'too-thin')->corrections[0];
                self::assertSame([$fat], self::keysOf($first), "{$name}, {$sharp}");
                self::assertStringNotContainsString('82', (string) $first->does?->text);
            }
        }
    }

    public function test_sweet_fruit_may_be_boiled_down_and_a_salsa_is_drained(): void
    {
        $kindOf = static fn(array $lines): ?string => self::ask(self::sauce($lines, ['Blend.']), 'too-thin')->corrections[0]->does?->kind;
        foreach (['strawberries', 'raspberries', 'blackberries', 'mango', 'peaches'] as $fruit) {
            self::assertSame('reduce', $kindOf(["300 g {$fruit}", '40 g sugar', '1 tbsp lemon juice']), $fruit);
            self::assertSame('drain', $kindOf(["300 g {$fruit}", '½ onion', '2 tbsp lime juice', '1 tsp salt']), $fruit);
        }
    }

    /**
     * Over every classic, of what is too much: no taste is hidden under a quarter of the batch in sugar and vinegar, and where
     * nothing brings it, an answer says that something is missing from the list, and never that all is well.
     */
    public function test_too_much_is_not_buried_and_what_is_not_in_the_list_is_said_to_be_missing(): void
    {
        [$answered, $absent] = [0, 0];
        foreach (Classics::all() as [, $title, $balance]) {
            foreach (['too-hot', 'too-salty', 'too-sour', 'too-sweet'] as $word) {
                $advice = self::ask($balance, $word);
                if ($advice->corrections === []) {
                    ++$absent;
                    self::assertSame([Complaint::named($word)->absent], $advice->notes, "{$title}: {$word}");
                }
                foreach ($advice->corrections as $one) {
                    $grams = 0.0;
                    foreach ($one->additions as $addition) {
                        $isSeasoning = array_intersect(['vinegar', 'juice', 'syrup'], $addition->ingredient->kinds) !== []
                            || $addition->ingredient->key === 'white-sugar';
                        $grams += $isSeasoning ? $addition->grams : 0.0;
                    }
                    self::assertLessThanOrEqual(0.26 * $balance->mixture->grams(), $grams, "{$title}: {$word}");
                    ++$answered;
                }
            }
        }
        self::assertGreaterThan(200, $answered);
        self::assertGreaterThan(20, $absent);
        self::assertLessThan(0.3 * ($answered + $absent), $absent);
    }

    /** Over every classic that is not cooked: what is told to be done must be possible with what is there. */
    public function test_what_is_done_about_a_texture_fits_what_the_sauce_is_made_of(): void
    {
        $seen = [];
        foreach (Classics::all() as [, $title, $cooked]) {
            $balance = Balance::of($cooked->formula);
            if (Weighed::balance($balance, null, Measures::Metric)->isCooked()) {
                continue;
            }
            $lines = array_filter($balance->formula->lines, static fn($line): bool => $line->ingredient !== null);
            $of = static fn(string $kind): float => array_sum(array_map(
                static fn($line): float => in_array($kind, $line->ingredient->kinds ?? [], true) ? $line->grams->value ?? 0.0 : 0.0,
                $lines,
            )) / max(1.0, $balance->formula->mixed()->grams());
            foreach (['too-thin', 'greasy', 'pasty'] as $word) {
                foreach (self::ask($balance, $word)->corrections as $one) {
                    $seen["{$word} {$one->does?->kind}"] = true;
                    if ($word === 'too-thin' && $one->does?->kind === 'drain') {
                        self::assertGreaterThanOrEqual(0.2, $of('fresh'), "{$title} has no juice that salt draws");
                        self::assertLessThan(0.4, $of('chilli'), "{$title} is of chillies");
                    }
                    $isSkimmed = $word === 'greasy' && $one->does?->kind === 'drain';
                    self::assertTrue(!$isSkimmed || $of('broth') >= 0.4, "{$title}: nothing sets on it");
                    self::assertStringNotContainsString('low heat', $word === 'pasty' ? (string) $one->does?->text : '', $title);
                }
            }
        }
        self::assertArrayHasKey('too-thin drain', $seen);
        self::assertArrayHasKey('greasy whisk', $seen);
    }

    /** Over every classic that is mostly chillies: it is made milder by mild peppers, and stays what it is; a green one stays green. */
    public function test_what_is_mostly_chillies_is_made_milder_by_mild_peppers(): void
    {
        $count = 0;
        foreach (Classics::all() as [, $title, $balance]) {
            $pods = 0.0;
            foreach ($balance->formula->lines as $line) {
                $pods += $line->ingredient?->composition->heatIsOfPods === true ? $line->grams->value ?? 0.0 : 0.0;
            }
            $isMostly = $pods >= 0.3 * $balance->formula->mixed()->grams();
            $first = self::ask($balance, 'too-hot')->corrections[0] ?? null;
            if (!$isMostly || $first === null || Axis::Heat->steps($balance->taste->heat) < 2.0) {
                continue;
            }
            $isGreen = SauceColour::of($balance->formula, 0.0)?->isGreen() === true;
            ++$count;
            self::assertSame(!$isGreen, self::keysOf($first) === ['jarred-pepper'], $title);
            self::assertLessThan(-0.5, $balance->taste->stepsTo($first->after)['heat'], $title);
        }
        self::assertGreaterThan(3, $count);
    }

    public function test_dressings_herbs_and_cheese_are_mended_with_what_they_are_made_of(): void
    {
        $first = static fn(array $lines, string $word): Correction => self::ask(self::sauce($lines, ['Mix.']), $word)->corrections[0];
        $dressing = ['60 g dijon mustard', '40 g honey', '60 ml olive oil', '30 ml cider vinegar'];
        self::assertSame(['olive-oil'], self::keysOf($first($dressing, 'too-thin')));
        self::assertSame([], self::keysOf($first(['20 ml red wine vinegar', '80 ml olive oil'], 'too-thin')));
        $herbs = ['40 g parsley', '10 g oregano', '60 ml red wine vinegar', '120 ml olive oil', '1 tsp salt'];
        self::assertSame(['parsley'], self::keysOf($first($herbs, 'too-thin')));
        $pesto = ['60 g basil', '30 g pine nuts', '60 g parmesan', '100 ml olive oil', '1 tsp salt'];
        self::assertSame(['basil', 'pine-nut', 'olive-oil'], self::keysOf($first($pesto, 'too-salty')));
        $blue = ['120 g blue cheese', '100 g sour cream', '80 g mayonnaise'];
        self::assertSame(['milk'], self::keysOf($first($blue, 'too-thick')));
        $curd = self::sauce(['4 eggs', '200 g sugar', '150 ml lemon juice', '100 g butter'], ['Stir over low heat 12 minutes.']);
        self::assertStringContainsString('coats a spoon', (string) self::ask($curd, 'too-thin')->corrections[0]->does?->text);
        $ponzu = ['120 ml soy sauce', '100 ml lemon juice', '40 ml mirin', '20 ml rice vinegar', '1 tsp sugar'];
        self::assertSame(['white-sugar'], self::keysOf($first($ponzu, 'too-sour')));
    }

    private static function isStrewn(string $family): bool
    {
        return PlainReference::among(FamilyBook::get($family), References::all()[$family])->balance->isDry();
    }

    private static function ask(Balance $balance, string $word): Advice
    {
        return (new Adviser(Weighed::balance($balance, null, Measures::Metric)))->answer(new Wish(Complaint::named($word)));
    }

    /**
     * @param list<string> $lines
     * @param list<string> $method
     */
    private static function sauce(array $lines, array $method): Balance
    {
        return Balance::of(
            Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric),
            MethodReader::treatment($method),
        );
    }

    /** @return list<string> */
    private static function keysOf(Correction $correction): array
    {
        return array_map(static fn(Addition $one): string => $one->ingredient->key, $correction->additions);
    }
}
