<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Vinculum\Recipe\Parser\Cursor;
use Vinculum\Recipe\Parser\Lexer;
use Vinculum\Recipe\Parser\NumberGrammar;
use Vinculum\Recipe\Parser\Token;

final class LexerTest extends TestCase
{
    public function test_cuts_a_line_into_numbers_words_and_marks(): void
    {
        $texts = array_map(
            static fn(Token $token): string => $token->text,
            Lexer::tokens('2½ × 400g (14-oz) flat-leaf parsley, chopped'),
        );

        self::assertSame(
            ['2', '½', '×', '400', 'g', '(', '14', '-', 'oz', ')', 'flat-leaf', 'parsley', ',', 'chopped'],
            $texts,
        );
    }

    public function test_tells_thousands_from_decimals_and_fractions_from_dual_weights(): void
    {
        $number = static fn(string $text): float => Lexer::tokens($text)[0]->number;

        self::assertSame(1250.0, $number('1,250'));
        self::assertSame(1.25, $number('1,25'));
        self::assertSame(1250.5, $number('1,250.5'));
        self::assertSame(0.75, $number('3/4'));
        self::assertSame(0.75, $number('3⁄4'));
        self::assertSame(0.125, $number('⅛'));
        self::assertNan($number('1/0'));
        self::assertSame(
            ['400', 'g', '/', '14', 'oz'],
            array_map(static fn(Token $token): string => $token->text, Lexer::tokens('400g/14oz')),
        );
    }

    public function test_knows_where_a_token_stood_and_whether_it_touched_the_one_before(): void
    {
        $tokens = Lexer::tokens('½ cup/120 ml');

        self::assertSame([0, 3, 6, 7, 11], array_map(static fn(Token $token): int => $token->offset, $tokens));
        self::assertSame(
            [false, false, true, true, false],
            array_map(static fn(Token $token): bool => $token->isGlued, $tokens),
        );
    }

    public function test_bytes_that_are_no_text_give_no_tokens(): void
    {
        self::assertSame([], Lexer::tokens("\xFF\xFE\x80"));
        self::assertSame([], Lexer::tokens(''));
    }

    public function test_reads_every_way_to_write_a_number(): void
    {
        $numbers = [
            '2' => [2, 2], '1 1/2' => [1.5, 1.5], '1-1/2' => [1.5, 1.5], '1½' => [1.5, 1.5], 'half' => [.5, .5],
            'half a' => [.5, .5], 'a quarter of a' => [.25, .25], 'three quarters' => [.75, .75],
            'two thirds' => [2 / 3, 2 / 3], 'one and a half' => [1.5, 1.5], '2 and three quarters' => [2.75, 2.75],
            'a couple of' => [2, 2], 'a few' => [3, 3], 'a dozen' => [12, 12], 'half a dozen' => [6, 6],
            '3-4' => [3, 4], '3–4' => [3, 4], '3 to 4' => [3, 4], '2 or 3' => [2, 3], 'between 2 and 3' => [2, 3],
            '1/2 - 3/4' => [.5, .75], 'three-quarters' => [.75, .75], 'one-half' => [.5, .5],
            '2 million' => [2e6, 2e6], '4 - 2' => [2, 4],
        ];
        foreach ($numbers as $text => [$low, $high]) {
            $range = NumberGrammar::range(new Cursor(Lexer::tokens((string) $text)));
            self::assertNotNull($range, (string) $text);
            self::assertEqualsWithDelta([$low, $high], $range, 1e-9, (string) $text);
        }
        foreach (['cup', 'and', 'of', ''] as $text) {
            self::assertNull(NumberGrammar::range(new Cursor(Lexer::tokens($text))), $text);
        }
    }
}
