<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineStatus;

/** "Gluten-free stock": what a line says it is free of, it is never taken to hold; what is never without it is not known by that name. */
final class FreeFromTest extends TestCase
{
    private const WORDS = ['gluten-free' => 'gluten', 'dairy-free' => 'milk', 'egg-free' => 'egg', 'nut-free' => 'nuts', 'soya-free' => 'soya', 'fish-free' => 'fish'];

    public function test_no_line_holds_what_it_says_it_is_free_of(): void
    {
        [$asked, $known, $kept, $wrong] = [0, 0, 0, []];
        foreach (Catalogue::shipped()->all() as $at => $ingredient) {
            $name = mb_strtolower($ingredient->name);
            if (preg_match('/[,%(]| and |-free|free /', $name) === 1) {
                continue;
            }
            foreach (array_slice(self::WORDS, $at % 3, 3, true) as $word => $allergen) {
                foreach (["100 g {$word} {$name}", "100 g {$name}, {$word}", "100 g {$name} ({$word})"] as $text) {
                    $line = Formula::fromTexts([$text], Catalogue::shipped(), Measures::Metric)->lines[0];
                    ++$asked;
                    $held = $line->ingredient->suitability->allergens ?? [];
                    // one word more may be another thing's name, and is then only likely
                    if (in_array($allergen, $held, true) && $line->status !== LineStatus::Unknown && $line->sure?->value === 'certain') {
                        $wrong[] = "{$text}: {$line->ingredient?->name}";
                    }
                    $isOften = in_array($allergen, $ingredient->suitability->often, true);
                    $known += $isOften ? 1 : 0;
                    $kept += $isOften && $line->ingredient?->kind() === $ingredient->kind() && !in_array($allergen, $held, true) ? 1 : 0;
                }
            }
        }

        self::assertSame([], $wrong);
        self::assertGreaterThan(9000, $asked);
        self::assertGreaterThan(0.93 * $known, $kept, "{$kept} of {$known} are known from a pack without");
        self::assertGreaterThan(150, $known);
    }

    /** "Vegan pesto": whatever is called so, and known as itself, holds nothing of an animal, and its pack reads back as that. */
    public function test_what_is_called_vegan_is(): void
    {
        [$asked, $packs] = [0, 0];
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $name = mb_strtolower($ingredient->name);
            if (preg_match('/[,%(]| and |vegan|plant|-free|free /', $name) === 1) {
                continue;
            }
            foreach (["100 g vegan {$name}", "100 g {$name} (vegan)"] as $text) {
                $line = Formula::fromTexts([$text], Catalogue::shipped(), Measures::Metric)->lines[0];
                ++$asked;
                if ($line->ingredient !== null && $line->status !== LineStatus::Unknown && $line->sure?->value === 'certain') {
                    self::assertContains('vegan', $line->ingredient->suitability->diets(), $text);
                }
            }
            $pack = $ingredient->fitting([], ['vegan']);
            if ($pack !== null && $pack !== $ingredient) {
                ++$packs;
                $line = Formula::fromTexts(["100 g {$pack->name}"], Catalogue::shipped(), Measures::Metric)->lines[0];
                self::assertSame($ingredient->key, $line->ingredient?->key, $pack->name);
                self::assertContains('vegan', $line->ingredient->suitability->diets(), $pack->name);
            }
        }
        self::assertGreaterThan(1500, $asked);
        self::assertGreaterThan(15, $packs);
        $said = Formula::fromTexts(['2 tbsp butter, or oil if vegan'], Catalogue::shipped(), Measures::Metric)->lines[0];
        self::assertSame('butter', $said->ingredient?->key);
    }

    /** "Alcohol-free soy sauce": what some makers take out again is known by its pack, and a drink is not called free of itself. */
    public function test_what_is_called_alcohol_free_is(): void
    {
        $packs = 0;
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $pack = $ingredient->fitting([], ['alcohol-free']);
            $name = mb_strtolower($ingredient->name);
            if (preg_match('/[,%(]| and |alcohol-free/', $name) === 1) {
                continue;
            }
            $line = Formula::fromTexts(["100 g alcohol-free {$name}"], Catalogue::shipped(), Measures::Metric)->lines[0];
            if ($line->ingredient?->key === $ingredient->key && $line->sure?->value === 'certain') {
                self::assertContains('alcohol-free', $line->ingredient->suitability->diets(), $name);
            }
            if ($pack !== null && $pack !== $ingredient) {
                ++$packs;
                self::assertSame($ingredient->key, $line->ingredient?->key, $name);
            }
        }
        self::assertGreaterThan(15, $packs);
        self::assertNull(Catalogue::shipped()->get('red-wine')->fitting([], ['alcohol-free']));
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $isBrewedSoy = str_ends_with($ingredient->key, 'soy-sauce') && $ingredient->suitability->allergens === ['soya', 'gluten'];
            self::assertFalse($isBrewedSoy && in_array('alcohol-free', $ingredient->suitability->diets(), true), $ingredient->key);
        }
    }

    public function test_what_it_is_free_of_is_told_of_the_whole(): void
    {
        $formula = Formula::fromTexts(
            ['300 ml gluten-free beef stock', '1 tsp gluten-free baking powder', '100 g double cream, dairy-free', '2 tbsp wheat-free tamari', '50 g dairy-free butter'],
            Catalogue::shipped(),
            Measures::Metric,
        );
        self::assertSame(['stock', 'baking-powder', null, 'tamari', 'vegan-butter'], array_map(static fn($line): ?string => $line->ingredient?->key, $formula->lines));
        self::assertNotContains('gluten', $formula->lines[0]->ingredient->suitability->allergens ?? ['gluten']);
        self::assertContains('gluten-free', $formula->lines[0]->ingredient?->suitability->diets() ?? []);
        self::assertSame(['double-cream'], $formula->lines[2]->alternatives);
    }
}
