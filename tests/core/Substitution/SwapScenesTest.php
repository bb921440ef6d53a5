<?php

declare(strict_types=1);

namespace Tests\core\Substitution;

use PHPUnit\Framework\TestCase;
use Tests\core\Family\Classics;
use Tests\core\Weighed;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Chemistry\Component;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Energy;
use Vinculum\Ingredient\Suitability;
use Vinculum\Ingredient\Work;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Substitution\Conversion;
use Vinculum\Substitution\DietaryNeeds;
use Vinculum\Substitution\StandIn;
use Vinculum\Substitution\Swap;

final class SwapScenesTest extends TestCase
{
    /** A cook takes the first of 95 in 100, and one of three of 99. */
    public function test_a_cook_would_take_what_comes_first(): void
    {
        [$scenes, $first, $amongThree] = [0, [], []];
        foreach (SwapScenes::of(__DIR__ . '/data/swaps.txt') as $scene) {
            $found = array_map(static fn(Swap $one): string => $one->ingredient->key, $scene->swaps());
            ++$scenes;
            if (!in_array($found[0] ?? null, $scene->accepted, true)) {
                $first[] = "{$scene->name}: " . ($found[0] ?? 'nothing');
            }
            if (array_intersect(array_slice($found, 0, 3), $scene->accepted) === []) {
                $amongThree[] = "{$scene->name}: " . implode(', ', array_slice($found, 0, 3));
            }
        }

        self::assertGreaterThanOrEqual(150, $scenes);
        self::assertLessThanOrEqual(0.05 * $scenes, count($first), implode("\n", $first));
        self::assertLessThanOrEqual(0.01 * $scenes, count($amongThree), implode("\n", $amongThree));
    }

    /** Every allergen and diet is kept, nothing is stuck, and the sauce keeps its fat and what names it. */
    public function test_whole_recipes_are_made_fit_and_keep_their_character(): void
    {
        $formulas = [];
        foreach (Classics::all() as [, $title, $balance]) {
            $formulas[$title] = $balance->formula;
        }
        [$scenes, $wrong] = [0, []];
        foreach (file(__DIR__ . '/data/conversions.txt', FILE_IGNORE_NEW_LINES) ?: [] as $text) {
            if (str_starts_with($text, ';')) {
                continue;
            }
            [$title, $for, $holds] = array_map(trim(...), explode(' | ', $text));
            $needs = DietaryNeeds::parse($for);
            $before = Balance::of($formulas[$title]);
            $conversion = Conversion::of(Weighed::formula($formulas[$title]), $needs);
            $after = $conversion->after->balance();
            ++$scenes;
            self::assertSame([], array_intersect($needs[0]->allergens, $after->allergens()), "{$title}, {$for}");
            $fat = $before->mixture->percent(Component::Fat);
            $kept = $after->mixture->percent(Component::Fat);
            // of several that may stand there, one does
            $there = array_map(
                static fn(ResolvedLine $line): string => $line->ingredient->key ?? '',
                $conversion->after->formula->lines,
            );
            $lacks = array_diff(array_map(trim(...), explode(',', $holds)), $there);
            $complaint = match (true) {
                $conversion->stuck !== [] => 'stuck: ' . implode(' ', $conversion->stuck),
                self::breaks($conversion->after->formula, $needs[0]->diets) !== []
                    => 'holds ' . implode(', ', self::breaks($conversion->after->formula, $needs[0]->diets)),
                $fat > 5.0 && ($kept < 0.5 * $fat || $kept > 1.5 * $fat) => sprintf('fat %.0f, was %.0f', $kept, $fat),
                count($lacks) > 0 && !($holds === 'jarred-pepper, red-pepper' && count($lacks) === 1)
                    => 'lacks ' . implode(', ', $lacks) . ' among ' . implode(', ', $there),
                default => null,
            };
            if ($complaint !== null) {
                $wrong[] = "{$title}, {$for}: {$complaint}";
            }
        }

        self::assertGreaterThanOrEqual(60, $scenes);
        self::assertLessThanOrEqual(0.05 * $scenes, count($wrong), implode("\n", $wrong));
    }

    /**
     * @param list<string> $diets
     *
     * @return list<string> what in it does not fit them
     */
    private static function breaks(Formula $formula, array $diets): array
    {
        $breaking = [];
        foreach ($formula->lines as $line) {
            if ($line->ingredient !== null && array_diff($diets, $line->ingredient->suitability->diets()) !== []) {
                $breaking[] = $line->ingredient->key;
            }
        }

        return $breaking;
    }

    public function test_stand_ins_name_what_there_is_and_no_same_thing_does_other_work(): void
    {
        $catalogue = Catalogue::shipped();
        $rows = FactsFile::named('stand-ins');
        self::assertGreaterThanOrEqual(350, count($rows));
        foreach ($rows as $key => $row) {
            self::assertTrue($catalogue->has($key), $key);
            self::assertSame([], array_diff($row->fields(), ['same', 'usual', 'work', 'mind']), $key);
            $seen = [];
            foreach (StandIn::of($catalogue->get($key)) as $standIn) {
                self::assertTrue($catalogue->has($standIn->kind), "{$key}: {$standIn->kind}");
                if ($standIn->kind === $key) {
                    continue;
                }
                self::assertNotContains($standIn->kind, $seen, "{$key} has {$standIn->kind} twice");
                self::assertGreaterThan(0.0, $standIn->ratio, "{$key}: {$standIn->kind}");
                $seen[] = $standIn->kind;
                if ($standIn->class === StandIn::SAME) {
                    self::assertNotSame(
                        [],
                        array_intersect(Work::of($key), Work::of($standIn->kind)),
                        "{$key} and {$standIn->kind} are no same thing",
                    );
                }
            }
        }
    }

    /** Common practice, as the handbook gives it. */
    public function test_classes_are_those_of_the_handbook(): void
    {
        $class = static fn(string $gone, string $new): int => StandIn::for(
            Catalogue::shipped()->get($gone),
            Catalogue::shipped()->get($new),
        )->class;
        foreach ([['garlic', 'garlic-powder'], ['ginger', 'ginger-ground'], ['tomato', 'tinned-tomatoes']] as $same) {
            self::assertSame(StandIn::SAME, $class(...$same), implode(' → ', $same));
        }
        foreach ([
            ['lemon-juice', 'lime-juice'],
            ['fish-sauce', 'soy-sauce'],
            ['soy-sauce', 'tamari'],
            ['soy-sauce', 'coconut-aminos'],
            ['honey', 'maple-syrup'],
            ['mayonnaise', 'vegan-mayonnaise'],
            ['red-pepper', 'jarred-pepper'],
        ] as $usual) {
            self::assertSame(StandIn::USUAL, $class(...$usual), implode(' → ', $usual));
        }
        self::assertSame(StandIn::WORK, $class('mayonnaise', 'greek-yoghurt'));
        self::assertSame(StandIn::NUMBERS, $class('fish-sauce', 'celery-salt'));
    }

    public function test_a_recipe_with_less_of_something_holds_less_of_it(): void
    {
        $formula = Formula::fromTexts(
            ['200 g mayonnaise', '30 ml soy sauce', '40 g honey', '1 tsp salt', '50 ml lemon juice'],
            Catalogue::shipped(),
            Measures::Us,
        );
        $before = Balance::of($formula)->mixture;
        foreach (['low salt', 'less sugar', 'fewer calories'] as $for) {
            $conversion = Conversion::of(Weighed::formula($formula), DietaryNeeds::parse($for));
            $after = $conversion->after->balance()->mixture;
            self::assertNotSame([], $conversion->swaps, $for);
            [$had, $has] = match ($for) {
                'low salt' => [$before->percent(Component::Salt), $after->percent(Component::Salt)],
                'less sugar' => [
                    Energy::sugars($before) / $before->grams(),
                    Energy::sugars($after) / $after->grams(),
                ],
                'fewer calories' => [Energy::of($before) / $before->grams(), Energy::of($after) / $after->grams()],
            };
            self::assertLessThan(0.85 * $had, $has, $for);
        }
    }

    public function test_needs_are_read_as_people_write_them(): void
    {
        $read = static fn(string $text): array => array_map(
            static fn($reason): array => [$reason->diets, $reason->allergens, $reason->less],
            DietaryNeeds::parse($text),
        );

        self::assertSame([[['vegan'], ['soya'], null]], $read('vegan, without soya'));
        self::assertSame([[['gluten-free'], [], null]], $read('Gluten-free'));
        self::assertSame([[['alcohol-free'], ['milk', 'nuts'], null]], $read('no dairy; nut-free and alcohol free'));
        self::assertSame([[[], ['egg'], null], [[], [], 'salt']], $read('without eggs, low salt'));
        self::assertSame([[['no-added-sugar'], [], null]], $read('no added sugar'));
        foreach (array_keys(FactsFile::named('allergens')) as $allergen) {
            self::assertSame([[[], [$allergen], null]], $read("without {$allergen}"));
        }
        foreach (Suitability::allDiets() as $diet) {
            self::assertSame([[[$diet], [], null]], $read($diet));
        }
        $this->expectExceptionMessage('"purple" is not known');
        DietaryNeeds::parse('vegan, purple');
    }
}
