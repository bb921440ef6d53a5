<?php

declare(strict_types=1);

namespace Tests\core\Labelling;

use PHPUnit\Framework\TestCase;
use Vinculum\Labelling\Jars;

final class JarsTest extends TestCase
{
    public function test_no_more_is_filled_than_there_is_and_a_little_by_eye(): void
    {
        self::assertTrue(Jars::fit(1000.0, 0.0, 1000.0));
        self::assertTrue(Jars::fit(1000.0, 850.0, 250.0), 'a jar filled by eye');
        self::assertFalse(Jars::fit(1000.0, 851.0, 250.0));
        self::assertFalse(Jars::fit(0.0, 0.0, 1.0));
    }

    public function test_a_code_says_which_sauce_which_day_which_batch(): void
    {
        self::assertSame('DK261126-17', Jars::code('Damson ketchup', '261126', 17));
        self::assertSame('ÄPW261126-1', Jars::code('äpfel & Pflaumen, warm eingekocht', '261126', 1));
        self::assertSame('S261126-2', Jars::code('1234 !', '261126', 2), 'a title without letters');
    }
}
