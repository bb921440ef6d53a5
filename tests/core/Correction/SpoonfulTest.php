<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Correction\Candidate;
use Vinculum\Correction\Spoonful;
use Vinculum\Correction\StepCost;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TasteLoad;

/** What a teaspoon of anything does to a sauce, in words that a cook nods at (common practice, not measured). */
final class SpoonfulTest extends TestCase
{
    private const KETCHUP = ['500 g passata', '60 g sugar', '60 ml vinegar', '8 g salt'];
    private const DIP = ['30 ml soy sauce', '15 ml rice vinegar', '1 tsp honey'];

    /** @return iterable<string, array{list<string>, string, string, string}> sauce, what, how much, what it does */
    public static function spoonfuls(): iterable
    {
        yield 'salt salts a pan' => [self::KETCHUP, 'salt', '1 tsp', 'saltier'];
        yield 'water does nothing to it' => [self::KETCHUP, 'water', '1 tsp', 'moves none of the five'];
        yield 'nor oil' => [self::KETCHUP, 'olive-oil', '1 tsp', 'moves none of the five'];
        yield 'ground cloves are smelt at once' => [self::KETCHUP, 'cloves', '1 tsp', 'its aroma alone'];
        yield 'cayenne heats it' => [self::KETCHUP, 'cayenne', '1 tsp', 'hotter'];
        yield 'vinegar sharpens a dip' => [self::DIP, 'rice-vinegar', '1 tsp', 'sharper'];
        yield 'honey sweetens it' => [self::DIP, 'honey', '1 tsp', 'sweeter'];
        yield 'water thins it' => [self::DIP, 'water', '1 tsp', 'less salty'];
        yield 'garlic comes by the clove' => [self::DIP, 'garlic', '1 whole', ''];
    }

    /** @param list<string> $lines */
    #[DataProvider('spoonfuls')]
    public function test_it_says_what_a_cook_would_taste(array $lines, string $what, string $measure, string $says): void
    {
        $spoonful = Spoonful::of(Catalogue::shipped()->get($what), self::load($lines), Spoons::of(Measures::Metric));

        self::assertSame($measure, $spoonful->measure->words());
        self::assertStringContainsString($says, $spoonful->says());
        self::assertSame($spoonful->says() !== 'moves none of the five', $spoonful->isNoticed());
    }

    public function test_a_spoon_moves_as_many_steps_as_the_ratio_of_what_there_is_says(): void
    {
        $load = self::load(self::KETCHUP);
        $salt = Catalogue::shipped()->get('salt');
        $spoonful = Spoonful::of($salt, $load, Spoons::of(Measures::Metric));
        $grams = $spoonful->measure->grams;

        // Weber's law, as the handbook has it: equal ratios of concentration are equal steps
        $ratio = ($load->salt + $grams) / ($load->grams + $grams) / ($load->salt / $load->grams);
        self::assertEqualsWithDelta(log($ratio) / Axis::Salt->stepWidth(), $spoonful->moves['salt'], 0.02);
        self::assertLessThan(0.0, $spoonful->moves['sweet'], 'and thins the rest');
    }

    public function test_it_agrees_with_what_one_step_costs(): void
    {
        $load = self::load(self::DIP);
        $checked = 0;
        foreach (Catalogue::shipped()->all() as $ingredient) {
            $cost = StepCost::in($load, Candidate::of($ingredient));
            $spoonful = Spoonful::of($ingredient, $load, Spoons::of(Measures::Metric));
            if ($cost === null || $spoonful->measure->grams <= 0.0) {
                continue;
            }
            $share = $spoonful->measure->grams / $cost->grams;
            if (abs($share - 1.0) < 0.02) {
                continue;
            }
            ++$checked;
            self::assertSame($share > 1.0, $spoonful->moves[$cost->axis->value] > 1.0, $ingredient->key);
        }
        self::assertGreaterThan(350, $checked);
    }

    /** @param list<string> $lines */
    private static function load(array $lines): TasteLoad
    {
        return Balance::of(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric))->load();
    }
}
