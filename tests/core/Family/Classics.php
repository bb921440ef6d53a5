<?php

declare(strict_types=1);

namespace Tests\core\Family;

use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;

/** The classics of data/classics.txt, none of which made a window. */
final class Classics
{
    /** @return iterable<array{string, string, Balance}> family, title and what it comes to */
    public static function all(): iterable
    {
        foreach (file(__DIR__ . '/data/classics.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
            if (!str_starts_with($line, ';')) {
                [$family, $title, $yield, $ingredients] = explode(' | ', $line);
                yield [$family, $title, Balance::of(Formula::fromTexts(
                    explode(' / ', $ingredients),
                    Catalogue::shipped(),
                    Measures::Us,
                    $yield === '-' ? null : $yield,
                ))];
            }
        }
    }
}
