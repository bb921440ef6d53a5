<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Tests\core\Weighed;
use Vinculum\Balance\Formula;
use Vinculum\Correction\Adviser;
use Vinculum\Correction\Complaint;
use Vinculum\Correction\Wish;
use Vinculum\Drafting\Drafter;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\Texture;
use Vinculum\Kitchen\Kitchen;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Recipe\Writing\UnweighedAmount;

/** Answers in words that a cook would use at the stove. */
final class PlainWordsTest extends TestCase
{
    private const BY_THE_SPOON = 55.0;

    /** Whatever is asked of any family's plain sauce: so little of a liquid is told in spoons, scale or no scale. */
    public function test_what_is_poured_by_the_spoon_is_never_weighed(): void
    {
        [$asked, $weighed] = [0, []];
        foreach (FamilyBook::keys() as $family) {
            $kitchen = Kitchen::shipped();
            $empty = $kitchen->weigh($kitchen->readBegun("# A sauce\nStyle: {$family}\n")->in(Measures::Metric));
            $texts = RecipeLine::texts((new Drafter($empty))->draft(700.0)->written($empty->formula, Measures::Metric));
            $sauce = $kitchen->weigh($kitchen->read("# A sauce\nStyle: {$family}\n\n" . implode("\n", $texts))->in(Measures::Metric));
            foreach (['too-sour', 'not-sour', 'too-sweet', 'flat', 'too-salty'] as $word) {
                $corrections = (new Adviser($sauce))->answer(new Wish(Complaint::named($word)))->corrections;
                foreach (array_slice($corrections, 0, 3) as $correction) {
                    foreach ($correction->additions as $one) {
                        $portions = $one->ingredient->portions;
                        $isSpooned = $portions->texture === Texture::Liquid && $portions->density !== null
                            && $one->grams / $portions->density <= self::BY_THE_SPOON;
                        $asked += $isSpooned ? 1 : 0;
                        if ($isSpooned && UnweighedAmount::isWeight($one->measure->words())) {
                            $weighed[] = "{$family}, {$word}: {$one->measure->words()} {$one->ingredient->key}";
                        }
                    }
                }
            }
        }

        self::assertSame([], $weighed);
        self::assertGreaterThan(400, $asked);
    }

    /** Nobody waters cream or tomatoes because they are sharp: a little sugar comes first. */
    public function test_what_stands_is_sweetened_before_it_is_thinned(): void
    {
        foreach ([
            ['400 g passata', '2 tbsp tomato paste', '100 ml double cream', '½ tsp salt'],
            ['800 g tinned tomatoes', '3 tbsp olive oil', '1 tsp salt'],
            ['200 ml creme fraiche', '2 tbsp lemon juice', '1 tbsp dill', '¼ tsp salt'],
            ['250 g mushrooms', '200 ml double cream', '60 ml white wine', '½ tsp salt'],
        ] as $lines) {
            $formula = Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric);
            $first = (new Adviser(Weighed::formula($formula)))->answer(new Wish(Complaint::named('too-sour')))->corrections[0] ?? null;
            self::assertSame('white-sugar', $first?->additions[0]->ingredient->key, implode(', ', $lines));
        }
    }

    public function test_egg_that_curdled_is_never_boiled_again(): void
    {
        $texts = static fn(array $lines): string => implode(' ', array_map(
            static fn($one): string => (string) $one->does?->text,
            (new Adviser(Weighed::formula(Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric))))
                ->answer(new Wish(Complaint::named('lumpy')))->corrections,
        ));
        foreach (FamilyBook::keys() as $family) {
            $kitchen = Kitchen::shipped();
            $empty = $kitchen->weigh($kitchen->readBegun("# A sauce\nStyle: {$family}\n")->in(Measures::Metric));
            $lines = RecipeLine::texts((new Drafter($empty))->draft(700.0)->written($empty->formula, Measures::Metric));
            if (preg_grep('/\begg/i', $lines) !== []) {
                self::assertStringNotContainsString('bring it once to the boil', $texts($lines), $family);
            }
        }
        self::assertStringContainsString('Do not boil it again', $texts(['500 ml milk', '5 egg yolks', '80 g sugar']));
        self::assertStringContainsString('bring it once to the boil', $texts(['500 ml milk', '40 g butter', '40 g plain flour']));
    }
}
