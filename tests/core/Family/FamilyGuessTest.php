<?php

declare(strict_types=1);

namespace Tests\core\Family;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Family\FamilyBook;
use Vinculum\Family\FamilyGuess;
use Vinculum\Family\FamilyIdentity;
use Vinculum\Family\FamilyLikelihood;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;

final class FamilyGuessTest extends TestCase
{
    public function test_a_classic_is_known_by_its_title_ingredients_and_balance(): void
    {
        $this->assertKnown(true, 0.97, 0.99);
    }

    public function test_a_classic_without_a_title_is_known_too(): void
    {
        $this->assertKnown(false, 0.85, 0.97);
    }

    public function test_every_line_of_a_classic_is_understood(): void
    {
        foreach (Classics::all() as [, $title, $balance]) {
            self::assertSame([], array_filter(
                $balance->formula->lines,
                static fn(ResolvedLine $line): bool => !$line->countsInTheMixture(),
            ), $title);
        }
    }

    public function test_likelihoods_come_to_one_and_the_likeliest_is_first(): void
    {
        foreach (Classics::all() as [, $title, $balance]) {
            $likelihoods = array_map(
                static fn(FamilyGuess $guess): float => $guess->likelihood,
                FamilyGuess::for($balance, $title),
            );
            $sorted = $likelihoods;
            rsort($sorted);
            self::assertSame($sorted, $likelihoods, $title);
            self::assertLessThanOrEqual(1.0 + 1e-9, array_sum($likelihoods), $title);
        }
    }

    /** A guess that says nine in ten is right about nine times in ten, or more. */
    public function test_what_it_is_sure_of_is_so(): void
    {
        $right = 0;
        $sure = 0;
        foreach (Classics::all() as [$family, , $balance]) {
            $best = FamilyGuess::for($balance, null)[0];
            if ($best->likelihood >= 0.9) {
                ++$sure;
                $right += (int) ($best->style === $family);
            }
        }
        self::assertGreaterThan(80, $sure);
        self::assertGreaterThanOrEqual(0.9, $right / $sure);
    }

    /** What is compared with a family without being asked is of that family more often than not, by a good way. */
    public function test_what_is_presumed_is_likely_and_right(): void
    {
        [$presumed, $right] = [0, 0];
        foreach (Classics::all() as [$family, , $balance]) {
            $guesses = FamilyGuess::for($balance, null);
            $found = FamilyGuess::presumed($balance, $guesses);
            self::assertSame($guesses[0]->likelihood >= 0.7 ? $guesses[0]->style : null, $found);
            $presumed += (int) ($found !== null);
            $right += (int) ($found === $family);
        }
        self::assertGreaterThan(90, $presumed);
        self::assertGreaterThanOrEqual(0.97, $right / $presumed);
        $two = self::balance(['200 g ketchup', '1 tbsp Worcestershire sauce']);
        self::assertNull(FamilyGuess::presumed($two, FamilyGuess::for($two, 'Ketchup')), 'two things may become anything');
    }

    /** First right in 93 of 100; of those said at 70 % or more fewer than 3 in 100 are wrong, what is of no family among them. */
    public function test_inventions_are_told_and_what_is_of_no_family_is_left_alone(): void
    {
        [$count, $first, $sure, $wrong, $strange, $left] = [0, 0, 0, 0, 0, 0];
        foreach ([...self::inventions(), ...self::ofClassics()] as [$families, $balance]) {
            $best = FamilyGuess::for($balance, null)[0] ?? null;
            $isNone = $best === null || $best->likelihood < 0.5;
            $isRight = $families === ['none'] ? $isNone : in_array($best?->style, $families, true);
            ++$count;
            $first += (int) $isRight;
            $strange += (int) ($families === ['none']);
            $left += (int) ($families === ['none'] && $isNone);
            if ($best !== null && $best->likelihood >= 0.7) {
                ++$sure;
                $wrong += (int) !$isRight;
            }
        }
        self::assertGreaterThan(230, $count);
        self::assertGreaterThanOrEqual(0.93, $first / $count);
        self::assertGreaterThan(190, $sure);
        self::assertLessThan(0.03, $wrong / $sure);
        self::assertGreaterThanOrEqual(25, $strange);
        self::assertGreaterThanOrEqual(0.9, $left / $strange);
    }

    /** Of those said at p, p are right: by tenths where there are enough, within what so few may differ. */
    public function test_it_is_as_sure_as_it_is_right(): void
    {
        $said = [];
        foreach ([...self::inventions(), ...self::ofClassics()] as [$families, $balance]) {
            foreach (array_slice(FamilyGuess::for($balance, null), 0, 1) as $best) {
                $said[(int) min(9, floor(10.0 * $best->likelihood))][] = [
                    $best->likelihood,
                    (int) in_array($best->style, $families, true),
                ];
            }
        }
        foreach ($said as $tenth => $guesses) {
            $mean = array_sum(array_column($guesses, 0)) / count($guesses);
            $right = array_sum(array_column($guesses, 1)) / count($guesses);
            // two standard deviations of a share
            $spread = 2.0 * sqrt($mean * (1.0 - $mean) / count($guesses)) + 0.1;
            self::assertEqualsWithDelta($mean, $right, count($guesses) < 5 ? 1.0 : $spread, "{$tenth} tenths");
        }
        self::assertGreaterThan(150, count($said[9]));
    }

    public function test_names_without_amounts_count_as_present(): void
    {
        foreach ([
            'cranberry' => ['cranberries', 'sugar', 'orange juice'],
            'hummus' => ['chickpeas', 'tahini', 'lemon juice', 'garlic', 'salt'],
            'guacamole' => ['avocado', 'lime juice', 'onion', 'salt', 'coriander'],
        ] as $family => $names) {
            self::assertSame($family, FamilyGuess::for(self::balance($names), null)[0]->style);
        }
        // what has no amount may be any amount: where it stands on that axis speaks against nothing
        $salted = ['300 g avocado', '30 ml lime juice', '40 g onion', 'salt to taste'];
        self::assertSame('guacamole', FamilyGuess::for(self::balance($salted), null)[0]->style);
    }

    /** No family's own thing, no family: each is asked with what names it taken out, everything else as it is. */
    public function test_without_its_own_thing_a_family_is_less_likely(): void
    {
        [$asked, $less] = [0, 0];
        foreach (FamilyBook::all() as $family) {
            $own = FamilyIdentity::of($family->key)->ingredients;
            $reference = References::all()[$family->key][0]->balance;
            $isOwn = static fn(ResolvedLine $line): bool => in_array($line->ingredient?->kind(), $own, true);
            $others = array_filter($reference->formula->lines, static fn(ResolvedLine $line): bool => !$isOwn($line));
            if (count($others) < 2 || count($others) === count($reference->formula->lines)) {
                continue;
            }
            ++$asked;
            $whole = self::likelihoodOf($family->key, $reference);
            $without = self::likelihoodOf($family->key, Balance::of($reference->formula->withLines(...$others)));
            self::assertLessThan($whole + 0.01, $without, $family->key);
            $less += (int) ($without < 0.7 * $whole);
        }
        self::assertGreaterThan(60, $asked);
        self::assertGreaterThan(0.5, $less / $asked);
    }

    /** Who calls it a barbecue sauce does not call it none, though it is made of what none of them holds. */
    public function test_what_a_title_says_last_weighs_more_than_odd_things(): void
    {
        $odd = self::balance([
            '600 g rhubarb', '220 g red onion', '400 g tinned tomatoes', '200 g dark brown sugar', '150 ml cider vinegar',
            '3 tbsp black treacle', '2 tbsp Worcestershire sauce', '2 tsp smoked paprika',
        ]);
        self::assertSame('tomato-barbecue', FamilyGuess::presumed($odd, FamilyGuess::for($odd, 'Rhubarb barbecue sauce')));
        self::assertNull(FamilyGuess::presumed($odd, FamilyGuess::for($odd, null)));
    }

    public function test_a_ferment_is_guessed_only_where_something_ferments(): void
    {
        $lines = ['500 g red chillies', '15 g salt', '20 g garlic', '50 ml white vinegar'];
        self::assertNotSame('fermented-hot-sauce', FamilyGuess::for(self::balance($lines), null)[0]->style);
        self::assertSame(
            'fermented-hot-sauce',
            FamilyGuess::for(self::balance($lines), 'Fermented chillies')[0]->style,
        );
    }

    public function test_nothing_looks_like_no_family(): void
    {
        self::assertSame([], FamilyGuess::for(self::balance([]), 'Ketchup'));
        self::assertNull(FamilyGuess::sure(self::balance(['100 g water']), 'Wednesday'));
    }

    public function test_the_likelihoods_that_ship_are_derived_from_the_references_that_ship(): void
    {
        foreach (FamilyLikelihood::derive(References::all()) as $name => $ini) {
            self::assertStringEqualsFile(
                dirname(__DIR__, 3) . "/core/data/{$name}.ini",
                $ini,
                "{$name}: run bin/derive-families",
            );
        }
    }

    private static function likelihoodOf(string $family, Balance $balance): float
    {
        foreach (FamilyGuess::for($balance, null) as $guess) {
            if ($guess->style === $family) {
                return $guess->likelihood;
            }
        }

        return 0.0;
    }

    /** @return list<array{list<string>, Balance}> the families that a cook would accept, or none, and what it comes to */
    private static function inventions(): array
    {
        $inventions = [];
        $lines = file(__DIR__ . '/data/inventions.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [];
        foreach ($lines as $line) {
            if (!str_starts_with($line, ';')) {
                [$families, , $yield, $ingredients] = explode(' | ', $line);
                $inventions[] = [explode(', ', $families), Balance::of(Formula::fromTexts(
                    explode(' / ', $ingredients),
                    Catalogue::shipped(),
                    Measures::Us,
                    $yield === '-' ? null : $yield,
                ))];
            }
        }

        return $inventions;
    }

    /** @return list<array{list<string>, Balance}> */
    private static function ofClassics(): array
    {
        return array_map(
            static fn(array $classic): array => [[$classic[0]], $classic[2]],
            iterator_to_array(Classics::all(), false),
        );
    }

    private function assertKnown(bool $byTitle, float $first, float $amongThree): void
    {
        $count = $isFirst = $isAmong = 0;
        foreach (Classics::all() as [$family, $title, $balance]) {
            $guesses = array_map(
                static fn(FamilyGuess $guess): string => $guess->style,
                FamilyGuess::for($balance, $byTitle ? $title : null),
            );
            ++$count;
            $isFirst += (int) (($guesses[0] ?? null) === $family);
            $isAmong += (int) in_array($family, array_slice($guesses, 0, 3), true);
        }
        self::assertGreaterThanOrEqual(120, $count);
        self::assertGreaterThanOrEqual($first, $isFirst / $count);
        self::assertGreaterThanOrEqual($amongThree, $isAmong / $count);
    }

    /** @param list<string> $lines */
    private static function balance(array $lines): Balance
    {
        return Balance::of(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Us));
    }
}
