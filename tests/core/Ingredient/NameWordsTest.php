<?php

declare(strict_types=1);

namespace Tests\core\Ingredient;

use PHPUnit\Framework\TestCase;
use Vinculum\Ingredient\NameWords;

/** Letters with marks are read as those without: as Unicode takes them apart, for every letter of the Latin scripts. */
final class NameWordsTest extends TestCase
{
    public function test_every_marked_letter_is_read_as_unicode_takes_it_apart(): void
    {
        $asked = 0;
        foreach ([[0xC0, 0x24F], [0x1E00, 0x1EFF]] as [$first, $last]) {
            for ($code = $first; $code <= $last; ++$code) {
                $letter = (string) mb_chr($code);
                // the Normalizer is PHP's own of the Unicode standard; the product does without it
                $apart = (string) \Normalizer::normalize(mb_strtolower($letter), \Normalizer::FORM_D);
                $plain = (string) preg_replace('/\p{Mn}/u', '', $apart);
                if (preg_match('/^[a-z]$/', $plain) === 1) {
                    self::assertSame(["x{$plain}x"], NameWords::of("x{$letter}x"), $letter);
                    self::assertSame(["x{$plain}x"], NameWords::of("x{$apart}x"), "{$letter} in two signs");
                    ++$asked;
                }
            }
        }
        self::assertGreaterThan(450, $asked);
    }
}
