<?php

declare(strict_types=1);

namespace Tests\core\Ingredient;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Quantity\Spoons;
use Vinculum\Recipe\Resolution\LineResolver;

/** Whatever the catalogue calls a thing, a line may call it, in any case, in spoons, and with a slip of the finger. */
final class EveryNameTest extends TestCase
{
    private const SEED = 8;

    /** @return iterable<string, array{string}> */
    public static function keys(): iterable
    {
        foreach (Catalogue::shipped()->keys() as $key) {
            yield $key => [$key];
        }
    }

    #[DataProvider('keys')]
    public function test_a_line_with_its_name_in_grams_is_that_many_grams_of_it(string $key): void
    {
        $ingredient = Catalogue::shipped()->get($key);
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Metric);
        foreach (array_unique([
            $ingredient->name,
            mb_strtoupper($ingredient->name),
            ...$ingredient->aliases,
        ]) as $name) {
            $line = $resolver->resolve("100 g {$name}");
            self::assertSame($key, $line->ingredient?->key, $name);
            self::assertEqualsWithDelta(100.0, $line->grams->value, 1e-9, $name);
        }
    }

    /** What is said to measure is measured: the words with the name behind them read back as the same grams. */
    #[DataProvider('keys')]
    public function test_an_amount_said_in_spoons_reads_back_as_the_same(string $key): void
    {
        $ingredient = Catalogue::shipped()->get($key);
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
        $spoons = Spoons::of(Measures::Us);
        foreach ([2.0, 13.0, 60.0, 240.0, 900.0] as $grams) {
            $nearest = $spoons->nearest($grams, $ingredient->portions->spoonDensity(), $ingredient->portions->eachGrams());
            $words = $ingredient->portions->measure($grams, $spoons)->words() . " {$ingredient->name}";
            $line = $resolver->resolve($words);
            self::assertSame($key, $line->ingredient?->key, $words);
            self::assertEqualsWithDelta($nearest, $line->grams->value ?? 0.0, 0.06 * $nearest, $words);
        }
    }

    /**
     * One letter doubled, dropped or swapped with its neighbour in a word of six or more: still found, four times out
     * of five.
     */
    public function test_most_slips_of_the_finger_are_forgiven(): void
    {
        $dice = new Randomizer(new Mt19937(self::SEED));
        $search = Catalogue::shipped()->names();
        [$asked, $found] = [0, 0];
        foreach (Catalogue::shipped()->all() as $ingredient) {
            if (strlen($ingredient->name) < 6 || preg_match('/^[A-Z][a-z ]+$/', $ingredient->name) !== 1) {
                continue;
            }
            $slip = self::slip(mb_strtolower($ingredient->name), $dice);
            ++$asked;
            $found += in_array($ingredient->key, array_column($search->find($slip), 'key'), true) ? 1 : 0;
        }

        self::assertGreaterThan(150, $asked);
        self::assertGreaterThan(0.8, $found / $asked, "{$found} of {$asked}");
    }

    private static function slip(string $name, Randomizer $dice): string
    {
        $words = explode(' ', $name);
        $longest = array_search(max(array_map(strlen(...), $words)), array_map(strlen(...), $words), true);
        $word = $words[$longest];
        $at = $dice->getInt(1, max(1, strlen($word) - 3));
        $words[$longest] = match ($dice->getInt(0, 2)) {
            0 => substr($word, 0, $at) . $word[$at] . substr($word, $at),
            1 => substr($word, 0, $at) . substr($word, $at + 1),
            default => substr($word, 0, $at) . strrev(substr($word, $at, 2)) . substr($word, $at + 2),
        };

        return implode(' ', $words);
    }
}
