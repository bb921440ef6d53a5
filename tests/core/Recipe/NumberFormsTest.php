<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Keeping\Keep;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\Mend;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Writing\AmountWriter;
use Vinculum\Scaling\Scale;
use Vinculum\Scaling\TargetSize;

/** Amounts tenfold and thousandfold: what is written is read as it was meant, or asked about. */
final class NumberFormsTest extends TestCase
{
    private const SEED = 20261130;

    /** 300 amounts, each written in one of the ways of its country, beside a line that shows that way, or none. */
    public function test_a_number_is_read_as_its_page_writes_numbers(): void
    {
        $dice = new Randomizer(new Mt19937(self::SEED));
        $seen = 0;
        for ($draw = 0; $draw < 300; ++$draw) {
            $grams = match ($draw % 3) {
                0 => (float) $dice->getInt(1, 5000),
                1 => $dice->getInt(10, 9999) / 10.0,
                default => $dice->getInt(1000, 499_999) / 1000.0,
            };
            $isComma = $draw % 2 === 0;
            [$point, $group] = $isComma ? [',', '.'] : ['.', ','];
            foreach ([
                number_format($grams, $draw % 3, $point, $group) . ' g',
                number_format($grams, 3, $point, $group) . ' g',
                number_format($grams / 1000.0, 3, $point, $group) . ' kg',
                number_format($grams, $draw % 3, $point, '') . 'g',
            ] as $form => $written) {
                $shown = $isComma ? '0,75 l water' : '0.75 l water';
                $expected = $form === 0 || $form === 3 ? round($grams, $draw % 3) : round($grams, 3);
                $expected = $form === 2 ? 1000.0 * round($grams / 1000.0, 3) : $expected;
                if ($expected <= 0.0) {
                    continue;
                }
                $line = self::lines(["{$written} sugar", $shown])[0];
                self::assertEqualsWithDelta($expected, $line->grams->value ?? 0.0, 1e-6, "{$written}, {$shown}");
                ++$seen;
            }
        }
        self::assertGreaterThan(1000, $seen);
    }

    public function test_where_no_page_shows_it_the_only_sensible_reading_is_taken_and_an_open_one_is_told(): void
    {
        foreach ([
            '453.592 g sugar' => 453.592, '200.000 g honey' => 200.0, '236.588 ml water' => 236.16, '0,2 kg peanut butter' => 200.0,
            '0.250 kg sugar' => 250.0, '1,250 kg plums' => 1250.0, '1.250 kg plums' => 1250.0, '1,000 g sugar' => 1000.0,
            '2,500 g tomatoes' => 2500.0, '1,234.5 g sugar' => 1234.5, '113.398 g butter' => 113.398, '28.350 g salt' => 28.35,
        ] as $text => $grams) {
            $line = self::lines([$text])[0];
            self::assertEqualsWithDelta($grams, $line->grams->value ?? 0.0, 0.5, $text);
        }
        foreach (['1.500 g sugar' => 1500.0, '12.500 g salt' => 12.5] as $text => $grams) {
            $line = self::lines([$text])[0];
            self::assertEqualsWithDelta($grams, $line->grams->value ?? 0.0, 1e-6, $text);
            self::assertSame(LineStatus::Assumed, $line->status, $text);
            self::assertStringContainsString('taken as', (string) $line->note, $text);
        }
    }

    public function test_what_no_kitchen_holds_is_asked_about_and_not_believed(): void
    {
        foreach ([
            ['30 kg tomatoes', '500 g sugar'],
            ['20 kg salt', '500 g tomatoes', '1 onion'],
            ['1.000.000 g sugar', '100 g butter'],
            ['1 tonne sugar'],
            ['5 kg honey', '100 g garlic'],
        ] as $texts) {
            [$line] = self::lines($texts);
            self::assertSame(LineStatus::Unknown, $line->status, $texts[0]);
            self::assertNull($line->grams, $texts[0]);
            $mend = Mend::for($line, Catalogue::shipped())[0];
            self::assertSame(LineStatus::Measured, self::lines([$mend->text, ...array_slice($texts, 1)])[0]->status);
        }
        $balance = Balance::of(Formula::fromTexts(['20 kg salt', '500 g carrots'], Catalogue::shipped(), Measures::Metric));
        self::assertNull($balance->ph, 'what is not believed hides the pH');
        self::assertLessThanOrEqual(4.0, Keep::of($balance)->days['high']);
        foreach ([['1 kg cabbage', '20 g salt'], ['20 l water', '100 g salt'], ['6 kg tomatoes', '60 g salt'], ['1 kg sugar', '10 ml vanilla']] as $texts) {
            self::assertNotNull(self::lines($texts)[0]->grams, $texts[0]);
        }
    }

    public function test_vague_and_heaped_amounts_are_of_the_size_of_a_hand(): void
    {
        foreach ([
            '1 capful vanilla' => [5.0, 10.0], '2 capfuls vinegar' => [10.0, 20.0], 'a packet of sweetener' => [0.5, 2.0],
            '1 heaped tbsp sugar' => [16.0, 19.0], '1 heaped cup flour' => [140.0, 160.0], '1 scant cup water' => [205.0, 220.0],
        ] as $text => [$from, $to]) {
            $line = self::lines([$text])[0];
            self::assertThat(
                $line->grams->value ?? 0.0,
                self::logicalAnd(self::greaterThanOrEqual($from), self::lessThanOrEqual($to)),
                $text,
            );
        }
        foreach (['a ton of cilantro', 'tons of parsley', 'loads of garlic'] as $text) {
            self::assertSame(LineStatus::ToTaste, self::lines([$text])[0]->status, $text);
        }
    }

    /** Any amount in any unit times any factor reads back within 4 %, in cups and spoons that a kitchen owns. */
    public function test_what_is_written_for_the_cook_is_what_was_meant(): void
    {
        $dice = new Randomizer(new Mt19937(self::SEED));
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
        $amounts = ['⅓ cup', '¼ cup', '1 cup', '2½ cups', '1 tbsp', '2 tbsp', '1½ tsp', '1 tsp', '150 g', '12 g', '1.2 kg', '90 ml', '½ l', '1 lb', '6 oz'];
        $seen = 0;
        for ($draw = 0; $draw < 600; ++$draw) {
            $line = $resolver->resolve($amounts[$draw % count($amounts)] . ' sugar');
            $grams = ($line->grams->value ?? 0.0) * exp($dice->getInt(-1200, 2000) / 1000.0);
            if ($grams < 5.0) {
                continue;
            }
            $text = AmountWriter::inGrams($line, $grams, Measures::Us);
            $again = $resolver->resolve($text)->grams->value ?? 0.0;
            self::assertEqualsWithDelta($grams, $again, 0.042 * $grams, "{$line->text()} → {$text}");
            ++$seen;
        }
        self::assertGreaterThan(450, $seen);
    }

    public function test_the_sheet_says_what_was_asked_in_spoons_that_are_owned(): void
    {
        $texts = ['⅓ cup honey', '¼ tsp cayenne', '2 tbsp soy sauce', '1½ onions', '100 g sugar', '3 tbsp zorp'];
        $formula = Formula::fromTexts($texts, Catalogue::shipped(), Measures::Us);
        foreach (['0.5', '1.33', '2', '4.015', '7'] as $factor) {
            $scale = Scale::of(Weighed::formula($formula), TargetSize::factor($factor));
            foreach ($scale->lines as $number => $line) {
                if ($line->grams === null) {
                    self::assertStringContainsString('Not understood', (string) $line->note);
                    self::assertStringNotContainsString('3 tbsp zorp', $line->written(Measures::Us));
                    continue;
                }
                $steps = $formula->times((float) $factor);
                $off = $steps->withLines(...array_replace($steps->lines, [
                    $number => $steps->lines[$number]->times($line->grams / (float) $line->exactGrams),
                ]));
                $apart = Balance::of($steps)->taste->stepsApart(Balance::of($off)->taste);
                self::assertTrue(
                    abs((float) $line->errorPercent) <= 4.2 || $apart <= 0.25 || str_contains((string) $line->note, 'nearest'),
                    "× {$factor}: {$texts[$number]}",
                );
            }
        }
    }

    /** As the product writes amounts itself: in two vessels, of every ingredient it knows. */
    public function test_an_amount_in_two_vessels_is_one_amount_of_every_ingredient(): void
    {
        $asked = 0;
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $name = mb_strtolower($ingredient->name);
            $once = self::lines(["1 tbsp {$name}"]);
            if (count($once) !== 1 || $once[0]->grams === null) {
                continue;
            }
            foreach ([
                '1 tbsp + ½ tsp' => 3.5 / 3,
                '1 tbsp plus 1 tsp' => 4 / 3,
                // a cup of leaves is no sixteen spoons of them chopped
                '¼ cup + 1½ tsp' => null,
                '1 cup and 2 tbsp' => null,
            ] as $amount => $tablespoons) {
                $lines = self::lines(["{$amount} {$name}"]);
                self::assertCount(1, $lines, "{$amount} {$name}");
                self::assertSame($once[0]->ingredient?->key, $lines[0]->ingredient?->key, "{$amount} {$name}");
                $times = ($lines[0]->grams->value ?? 0.0) / $once[0]->grams->value;
                self::assertEqualsWithDelta($tablespoons ?? $times, $times, 0.03, "{$amount} {$name}");
                self::assertGreaterThan(1.0, $times, "{$amount} {$name}");
                ++$asked;
            }
        }
        self::assertGreaterThan(1000, $asked);
    }

    public function test_what_goes_in_to_taste_has_no_share_in_the_amount_before_it(): void
    {
        $asked = 0;
        foreach (['1 cup', '2 tbsp', '200 g', '¼ cup & 1 tbsp', '3 tsp plus a little more'] as $amount) {
            foreach (['sugar', 'cider vinegar', 'soy sauce', 'honey', 'tomato paste', 'olive oil'] as $name) {
                $alone = self::lines(["{$amount} {$name}"])[0]->grams->value ?? 0.0;
                self::assertGreaterThan(5.0, $alone, "{$amount} {$name}");
                foreach (['and', '&'] as $and) {
                    foreach (['a little %s', 'a bit of %s', 'some %s', 'a touch of %s', '%s to taste'] as $some) {
                        $text = "{$amount} {$name} {$and} " . sprintf($some, 'salt');
                        $lines = self::lines([$text]);
                        self::assertCount(2, $lines, $text);
                        self::assertEqualsWithDelta($alone, $lines[0]->grams->value ?? 0.0, 1e-6, $text);
                        self::assertSame('salt', $lines[1]->ingredient?->key, $text);
                        self::assertSame(LineStatus::ToTaste, $lines[1]->status, $text);
                        ++$asked;
                    }
                }
            }
        }
        self::assertSame(300, $asked);
    }

    /**
     * @param list<string> $texts
     *
     * @return list<ResolvedLine>
     */
    private static function lines(array $texts): array
    {
        return Formula::fromTexts($texts, Catalogue::shipped(), Measures::Us)->lines;
    }
}
