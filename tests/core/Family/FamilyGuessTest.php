<?php

declare(strict_types=1);

namespace Tests\core\Family;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Family\FamilyBook;
use Vinculum\Family\FamilyGuess;
use Vinculum\Family\FamilyLikelihood;
use Vinculum\Family\ReferenceFormula;
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
    public function test_what_is_presumed_is_likelier_than_all_others_together(): void
    {
        [$presumed, $right, $unsure] = [0, 0, 0];
        foreach (Classics::all() as [$family, , $balance]) {
            $guesses = FamilyGuess::for($balance, null);
            $found = FamilyGuess::presumed($balance, $guesses);
            self::assertSame($guesses[0]->likelihood >= 0.5 ? $guesses[0]->style : null, $found);
            $presumed += (int) ($found !== null);
            $right += (int) ($found === $family);
            $unsure += (int) ($found !== null && $guesses[0]->likelihood < 0.7);
        }
        self::assertGreaterThan(90, $presumed);
        self::assertGreaterThan(2, $unsure);
        self::assertGreaterThanOrEqual(0.88, $right / $presumed);
        $two = self::balance(['200 g ketchup', '1 tbsp Worcestershire sauce']);
        self::assertNull(FamilyGuess::presumed($two, FamilyGuess::for($two, 'Ketchup')), 'two things may become anything');
    }

    public function test_nothing_looks_like_no_family(): void
    {
        self::assertSame([], FamilyGuess::for(self::balance([]), 'Ketchup'));
        self::assertNull(FamilyGuess::sure(self::balance(['100 g water']), 'Wednesday'));
    }

    public function test_the_likelihoods_that_ship_are_derived_from_the_references_that_ship(): void
    {
        $references = [];
        foreach (FamilyBook::all() as $style) {
            $references[$style->key] = ReferenceFormula::of($style->key, Catalogue::shipped());
        }
        foreach (FamilyLikelihood::derive($references) as $name => $ini) {
            self::assertStringEqualsFile(
                dirname(__DIR__, 3) . "/core/data/{$name}.ini",
                $ini,
                "{$name}: run bin/derive-families",
            );
        }
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
