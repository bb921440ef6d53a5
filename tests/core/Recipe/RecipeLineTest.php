<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\core\Family\References;
use Vinculum\Balance\Formula;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Recipe;
use Vinculum\Recipe\RecipeLine;
use Vinculum\Recipe\Resolution\ResolvedLine;

/** A line is known by its own number, not by its place. */
final class RecipeLineTest extends TestCase
{
    private const MANY = ['salt and pepper', '1 tsp each cumin and coriander', 'zest and juice of 1 lime', 'For the pot:', ''];

    public function test_what_is_written_is_read_again_as_it_was(): void
    {
        $lines = [
            RecipeLine::of(7, 'salt and pepper'),
            RecipeLine::of(2, '2 tsp sugar', true),
            RecipeLine::of(40, 'juice of one lime', said: [12, 29]),
        ];
        self::assertEquals($lines, RecipeLine::parse(array_map(static fn(RecipeLine $one): array => $one->written(), $lines)));
        self::assertSame([1, 2], array_map(static fn(RecipeLine $one): int => $one->id, RecipeLine::parse(['salt', null])));
        self::assertSame([5, 6], array_map(
            static fn(RecipeLine $one): int => $one->id,
            RecipeLine::parse([['id' => 5, 'text' => 'salt'], 'pepper']),
        ));
    }

    public function test_no_line_is_without_a_number_and_no_number_stands_twice(): void
    {
        foreach ([
            static fn() => RecipeLine::of(0, 'salt'),
            static fn() => RecipeLine::of(1, 'salt', said: [9, 3]),
            static fn() => RecipeLine::parse([['id' => 1, 'text' => 'salt'], ['id' => 1, 'text' => 'pepper']]),
            static fn() => RecipeLine::parse([['id' => '1', 'text' => 'salt']]),
            static fn() => RecipeLine::parse([3]),
            static fn() => new Recipe(lines: [RecipeLine::of(1, 'salt'), RecipeLine::of(1, 'pepper')]),
        ] as $number => $wrong) {
            try {
                $wrong();
                self::fail("case {$number}");
            } catch (\InvalidArgumentException $fault) {
                self::assertNotSame('', $fault->getMessage());
            }
        }
    }

    /**
     * Whatever lines of whatever recipe are edited, taken out or added to: each other line stays as it was, under its own
     * number, and those that name several things are read back as those.
     */
    public function test_a_recipe_rewritten_keeps_every_line_that_nobody_touched(): void
    {
        $random = new Randomizer(new Mt19937(31));
        [$asked, $parted] = [0, 0];
        foreach (References::all() as $references) {
            $texts = [
                ...array_map(static fn(ResolvedLine $line): string => $line->text(), $references[0]->balance->formula->lines),
                ...self::MANY,
            ];
            $ids = $random->pickArrayKeys(array_fill(1, 500, true), count($texts));
            $lines = array_map(
                static fn(string $text, int|string $id): RecipeLine => RecipeLine::of((int) $id, $text),
                $texts,
                $random->shuffleArray($ids),
            );
            $formula = Formula::fromLines($lines, Catalogue::shipped(), Measures::Metric);
            for ($round = 0; $round < 10; ++$round) {
                $edits = [];
                foreach ($formula->lines as $number => $line) {
                    if ($line->ingredient !== null && $random->getInt(0, 3) === 0) {
                        $edits[$number] = ['', '3 tsp salt'][$random->getInt(0, 1)];
                    }
                }
                $rewritten = $formula->rewritten($edits, ['1 tsp honey']);
                $touched = array_map(static fn(int $number): ?int => $formula->lines[$number]->source?->id, array_keys($edits));
                $now = array_column(array_map(static fn(RecipeLine $one): array => $one->written(), $rewritten), 'text', 'id');
                self::assertCount(count($rewritten), $now);
                foreach ($lines as $line) {
                    if (!in_array($line->id, $touched, true)) {
                        self::assertSame($line->text, $now[$line->id]);
                    }
                }
                self::assertGreaterThan(max(array_map(static fn(RecipeLine $one): int => $one->id, $lines)), array_key_last($now));
                $kept = static fn(Formula $of): array => array_values(array_filter(array_map(
                    static fn(ResolvedLine $line): ?string => $line->ingredient?->key,
                    $of->lines,
                )));
                $expected = [];
                foreach ($formula->lines as $number => $line) {
                    $expected[] = match ($edits[$number] ?? null) {
                        null => $line->ingredient?->key,
                        '' => null,
                        default => 'salt',
                    };
                }
                $again = Formula::fromLines($rewritten, Catalogue::shipped(), Measures::Metric);
                self::assertSame([...array_values(array_filter($expected)), 'honey'], $kept($again), implode(' / ', $now));
                $parted += count($formula->lines) - count(array_unique($formula->numbers()));
                ++$asked;
            }
        }
        self::assertGreaterThan(1_000, $asked);
        self::assertGreaterThan(3_000, $parted);
    }
}
