<?php

declare(strict_types=1);

namespace Tests\core\Comparison;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Formula;
use Vinculum\Comparison\Comparison;
use Vinculum\Comparison\LineChange;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;

final class ComparisonTest extends TestCase
{
    private const SAUCE = [
        '300 g ketchup',
        '3 tbsp cider vinegar',
        '50 g sugar',
        '1 tsp salt',
        '¼ tsp cayenne',
        '2 cloves garlic',
    ];

    /** @return iterable<string, array{list<string>, string}> */
    public static function changes(): iterable
    {
        yield 'half a spoon more' => [
            array_replace(self::SAUCE, [1 => '3½ tbsp cider vinegar']),
            '½ tbsp more cider vinegar',
        ];
        yield 'grams less' => [array_replace(self::SAUCE, [2 => '40 g sugar']), '10 g less white sugar'];
        yield 'heat' => [
            array_replace(self::SAUCE, [4 => '½ tsp cayenne']),
            '¼ tsp more cayenne pepper, heat up 2.3 steps',
        ];
        yield 'a clove' => [array_replace(self::SAUCE, [5 => '3 cloves garlic']), '1 more garlic'];
        yield 'new and gone' => [
            [...array_slice(self::SAUCE, 0, 5), '2 tbsp chives'],
            'chives is new, no garlic any more',
        ];
        yield 'in another order and other words' => [
            [
                '2 garlic cloves',
                '300 g tomato ketchup',
                '50 g white sugar',
                '1 tsp table salt',
                '¼ tsp cayenne pepper',
                '3 tbsp cider vinegar',
            ],
            'nothing that changes the taste',
        ];
    }

    /** @param list<string> $after */
    #[DataProvider('changes')]
    public function test_says_what_changed_in_words(array $after, string $words): void
    {
        self::assertSame($words, self::compare(self::SAUCE, $after)->words());
    }

    public function test_the_second_salt_meets_the_second_salt(): void
    {
        $comparison = self::compare(['10 g salt', '100 g water', '5 g salt'], ['10 g salt', '100 g water', '7 g salt']);

        self::assertSame(
            [0.0, 0.0, 2.0],
            array_map(
                static fn(LineChange $line): float => round($line->gramsAfter - $line->gramsBefore, 6),
                $comparison->lines,
            ),
        );
    }

    /** What a swap put in stands where the old thing stood, and is told as that; of two sauces no line is another's. */
    public function test_what_stands_in_for_something_is_said_to(): void
    {
        foreach (self::SAUCE as $at => $text) {
            $now = array_replace(self::SAUCE, [$at => '80 g apricot jam']);
            self::assertStringContainsString('apricot jam instead of ', self::compare(self::SAUCE, $now, true)->words(), $text);
            self::assertStringContainsString('apricot jam is new', self::compare(self::SAUCE, $now)->words(), $text);
            self::assertCount(count(self::SAUCE), self::compare(self::SAUCE, $now, true)->lines);
        }
        $part = self::compare(['1 tsp each salt and sugar', '100 g water'], ['1 tsp each salt and honey', '100 g water'], true);
        self::assertStringContainsString('honey instead of white sugar', $part->words());
    }

    public function test_many_changes_are_counted_rather_than_listed(): void
    {
        self::assertMatchesRegularExpression(
            '/, and \d+ more$/',
            self::compare(self::SAUCE, ['100 g mayonnaise'])->words(),
        );
    }

    public function test_what_is_not_understood_is_quoted(): void
    {
        self::assertSame(
            '"3 tbsp zorp" is new',
            self::compare(['10 g salt'], ['10 g salt', '3 tbsp zorp', 'For the pot:', ''])->words(),
        );
    }

    /**
     * @param list<string> $before
     * @param list<string> $after
     */
    private static function compare(array $before, array $after, bool $isOneSauce = false): Comparison
    {
        $formula = static fn(array $lines): Formula => Formula::fromTexts(
            array_values($lines),
            Catalogue::shipped(),
            Measures::Us,
        );

        return Comparison::of($formula($before), $formula($after), Spoons::of(Measures::Us), $isOneSauce);
    }
}
