<?php

declare(strict_types=1);

namespace Tests\core\Drafting;

use PHPUnit\Framework\TestCase;
use Tests\core\Family\References;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Correction\Design;
use Vinculum\Correction\DesignedLine;
use Vinculum\Drafting\AtHand;
use Vinculum\Drafting\Drafter;
use Vinculum\Family\Family;
use Vinculum\Family\FamilyBook;
use Vinculum\Family\FamilyGuess;
use Vinculum\Family\FamilyIdentity;
use Vinculum\Family\PlainReference;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Recipe\Resolution\ResolvedLine;

final class DrafterTest extends TestCase
{
    /** What a cook would show a beginner, in amounts as cooks write them, about so large, and surely of its family. */
    public function test_a_draft_for_an_empty_bench_is_the_plain_sauce_of_its_family(): void
    {
        $known = 0;
        foreach (FamilyBook::all() as $family) {
            $design = self::draft($family);
            $texts = RecipeLine::texts($design->written(Formula::of([]), Measures::Metric));
            $read = Balance::of(Formula::fromTexts($texts, Catalogue::shipped(), Measures::Metric));
            self::assertCount(count($design->lines), $texts, $family->key);
            self::assertLessThan(2.0, $design->distance, $family->key);
            foreach ($texts as $text) {
                self::assertDoesNotMatchRegularExpression('/whole/u', $text);
                self::assertStringContainsString(
                    $family->usage->plain,
                    $design->lines[array_search($text, $texts, true)]->reason,
                );
            }
            foreach ($design->lines as $at => $line) {
                self::assertEqualsWithDelta($line->grams, $read->formula->lines[$at]->grams?->value, 1e-6, $texts[$at]);
            }
            $made = $design->hindrances === [] ? $read->mixture->grams() : 500.0;
            self::assertEqualsWithDelta(0.0, log($made / 500.0), log(1.6), $family->key);
            $held = array_map(static fn(DesignedLine $line): string => $line->ingredient->kind(), $design->lines);
            $own = FamilyIdentity::of($family->key)->ingredients;
            self::assertTrue($own === [] || array_intersect($own, $held) !== [], "{$family->key} without its own thing");
            $known += (int) (FamilyGuess::for(Balance::of($read->formula), null)[0]->style === $family->key);
        }
        self::assertGreaterThan(0.9, $known / count(FamilyBook::all()));
    }

    /** Whatever is not named is left out or asked for, in words; what is named is never said to be missing. */
    public function test_a_draft_of_what_is_at_hand_takes_nothing_else_in_silence(): void
    {
        foreach (FamilyBook::all() as $number => $family) {
            $references = References::all()[$family->key];
            $source = $references[$number % count($references)];
            $things = array_values(array_filter(array_map(
                static fn(ResolvedLine $line): ?Ingredient => $line->ingredient,
                $source->balance->formula->lines,
            )));
            // one thing is not there
            $atHand = array_slice($things, 0, -1);
            $kinds = [...array_map(static fn(Ingredient $one): string => $one->kind(), $atHand), 'water', 'salt'];
            $design = self::draft($family, $atHand);
            $said = mb_strtolower(implode(' ', $design->hindrances));
            foreach ($design->lines as $line) {
                self::assertTrue(
                    in_array($line->ingredient->kind(), $kinds, true)
                    || str_contains($said, 'it wants ' . mb_strtolower($line->ingredient->name)),
                    "{$family->key}: {$line->ingredient->name} came from nowhere",
                );
            }
            foreach ($atHand as $there) {
                self::assertStringNotContainsString('it wants ' . mb_strtolower($there->name) . ',', $said);
            }
        }
    }

    public function test_what_stands_in_for_what_is_missing_is_said(): void
    {
        $atHand = AtHand::namedIn('basil, walnuts, parmesan; olive oil, garlic', Catalogue::shipped(), Measures::Metric);
        self::assertCount(5, $atHand);
        $design = self::draft(FamilyBook::get('pesto'), $atHand);
        $texts = implode(' / ', RecipeLine::texts($design->written(Formula::of([]), Measures::Metric)));
        self::assertStringContainsString('walnuts', mb_strtolower($texts));
        self::assertStringNotContainsString('pine', $texts);
    }

    /** The gallery shows how the plain sauce looks and tastes: as it is worked out anew. */
    public function test_what_the_gallery_shows_is_derived_from_the_plain_references(): void
    {
        foreach (FamilyBook::all() as $family) {
            self::assertNotSame('', $family->usage->goesWith);
        }
        self::assertStringEqualsFile(
            dirname(__DIR__, 3) . '/core/data/typical.ini',
            PlainReference::facts(References::all()),
            'run bin/derive-families',
        );
        self::assertMatchesRegularExpression('/^#[0-9a-f]{6}$/', (string) PlainReference::of('pesto')->colour);
    }

    /** @param list<Ingredient>|null $atHand */
    private static function draft(Family $family, ?array $atHand = null): Design
    {
        $empty = Formula::fromTexts([], Catalogue::shipped(), Measures::Metric);

        return (new Drafter(Weighed::formula($empty, $family->key, Measures::Metric)))
            ->draft(500.0, atHand: $atHand);
    }
}
