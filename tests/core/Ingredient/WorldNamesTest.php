<?php

declare(strict_types=1);

namespace Tests\core\Ingredient;

use PHPUnit\Framework\TestCase;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;

/** What the kitchens of the world put into sauces is known, or not known; it is never taken for another thing. */
final class WorldNamesTest extends TestCase
{
    private const KNOWN_WANTED = 0.97;

    public function test_most_are_known_and_none_is_taken_for_another(): void
    {
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
        [$known, $wrong, $count] = [0, [], 0];
        foreach (file(__DIR__ . '/data/world-names.tsv', FILE_IGNORE_NEW_LINES) ?: [] as $row) {
            if (str_starts_with($row, ';')) {
                continue;
            }
            [$name, $key] = [...explode("\t", $row), ''];
            $found = $resolver->resolve("100 g {$name}")->ingredient->key ?? '';
            ++$count;
            $known += $found === $key && $key !== '' ? 1 : 0;
            if ($found !== '' && $found !== $key) {
                $wrong[] = "{$name}: {$found}";
            }
        }

        self::assertGreaterThanOrEqual(1200, $count);
        self::assertSame([], $wrong);
        self::assertGreaterThanOrEqual(self::KNOWN_WANTED, $known / $count);
    }
}
