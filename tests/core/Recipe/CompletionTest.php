<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\ProductLabel;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\Completion;
use Vinculum\Recipe\Resolution\LineResolver;

final class CompletionTest extends TestCase
{
    public function test_names_that_begin_so_come_first_then_those_that_hold_such_a_word(): void
    {
        self::assertSame('2 tbsp cider vinegar', self::texts('2 tbsp cider v')[0]);
        self::assertContains('1 tsp mustard seed', self::texts('1 tsp must'));
        self::assertContains('½ cup brown sugar', self::texts('½ cup brown su'));
    }

    public function test_the_cooks_own_products_come_before_all_else(): void
    {
        $label = ProductLabel::of(
            'Orchard vinegar',
            'cider-vinegar',
            ['acidity' => 6.0],
            false,
            null,
            null,
            null,
            true,
        );
        $own = Catalogue::shipped()->withOwn(['own-1' => $label]);

        self::assertSame('2 tbsp Orchard vinegar', Completion::of('2 tbsp orch', $own, Measures::Us)[0]->text);
    }

    public function test_nothing_is_offered_for_an_amount_alone_a_letter_or_a_finished_name(): void
    {
        foreach (['', '2', '2 tbsp', '2 tbsp c', '2 tbsp citric acid', 'juice of 1 lemon, strained well'] as $text) {
            self::assertSame([], self::texts($text), $text);
        }
    }

    public function test_what_is_offered_reads_as_what_it_names(): void
    {
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
        $checked = 0;
        foreach ([
            'ap',
            'be',
            'ch',
            'da',
            'fi',
            'ga',
            'ho',
            'le',
            'mu',
            'on',
            'pe',
            're',
            'sa',
            'to',
            'vi',
            'wh',
        ] as $letters) {
            foreach (Completion::of("100 g {$letters}", Catalogue::shipped(), Measures::Us) as $one) {
                self::assertSame($one->ingredient->key, $resolver->resolve($one->text)->ingredient?->key, $one->text);
                ++$checked;
            }
        }
        self::assertGreaterThan(60, $checked);
    }

    /** @return list<string> */
    private static function texts(string $text): array
    {
        return array_map(
            static fn(Completion $one): string => $one->text,
            Completion::of($text, Catalogue::shipped(), Measures::Us),
        );
    }
}
