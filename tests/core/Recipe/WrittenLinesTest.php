<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\ResolvedLine;

/**
 * Lines in many manners, with what each means: data/written-lines.tsv, data/several.tsv, data/one.tsv. What they weigh is
 * arithmetic or common practice, set down before the reader was tried on them.
 */
final class WrittenLinesTest extends TestCase
{
    private const READ_WANTED = 0.96;
    private const WRONG_ALLOWED = 0.005;
    private const SEVERAL_WANTED = 0.9;

    public function test_what_comes_on_top_counts_or_is_said_to_be_unknown(): void
    {
        foreach ([
            '1 onion, plus 3 tbsp quillfennel' => ['onion', null],
            '2 tbsp soy sauce + 1 tbsp gribble' => ['soy-sauce', null],
            '200 g olives plus 2 tbsp of their brine' => ['olive', 'olive-brine'],
            '2 chipotles in adobo, plus 1 Tbsp of their sauce' => ['chipotle-in-adobo', 'chipotle-in-adobo'],
            // the oil of a tin is no anchovy
            '100 g anchovies and 1 tbsp of their oil' => ['anchovy', null],
            '1 lemon, zested, plus 2 tbsp juice' => ['lemon-zest', 'lemon-juice'],
            '2 tbsp lime juice, plus 1 tsp zest' => ['lime-juice', 'lime-zest'],
            '1 cup sugar, plus 2 tbsp' => ['white-sugar', 'white-sugar'],
            '100 g sugar plus 2 tbsp of it' => ['white-sugar', 'white-sugar'],
            '500 g tomatoes, plus 2 more' => ['tomato', 'tomato'],
            '1 tbsp oil, plus extra for frying' => ['neutral-oil'],
            '1 tbsp oil plus a little for the pan' => ['neutral-oil'],
        ] as $text => $keys) {
            self::assertSame($keys, array_map(
                static fn(ResolvedLine $line): ?string => $line->ingredient?->key,
                self::resolver('us')->entries($text),
            ), $text);
        }
    }

    public function test_what_is_said_of_an_amount_on_top_is_said_of_that_amount(): void
    {
        $ends = ['to finish', 'for frying', 'sifted', 'for the end', 'extra', 'to serve', 'chopped', 'for dusting'];
        $joins = [', plus', ' plus', ' and', ' +', ', and', '; plus'];
        [$resolver, $several] = [self::resolver('us'), 0];
        foreach (array_values(Catalogue::shipped()->all()) as $number => $ingredient) {
            [$end, $join] = [$ends[$number % count($ends)], $joins[$number % count($joins)]];
            $entries = $resolver->entries("200 g {$ingredient->name}{$join} 20 g {$end}");
            if (count($entries) !== 2) {
                continue;
            }
            ++$several;
            self::assertDoesNotMatchRegularExpression("/\\b{$end}\\b/", $entries[0]->written->text, $ingredient->name);
            self::assertStringEndsWith($end, $entries[1]->written->text, $ingredient->name);
        }
        self::assertGreaterThan(900, $several);
    }

    public function test_what_is_drained_weighs_less_than_its_pack_though_nobody_knows_how_much(): void
    {
        $cherries = self::resolver('us')->entries('1 400g tin cherries, drained')[0];
        self::assertEqualsWithDelta(240.0, $cherries->grams?->value, 1.0);
        self::assertStringContainsString('taken as 60 % of the pack', (string) $cherries->note);
        // drained weights on labels: 0.5 to 0.75 of the contents
        self::assertLessThan(200.0, $cherries->grams?->low());
        self::assertGreaterThan(280.0, $cherries->grams?->high());
        self::assertEqualsWithDelta(400.0, self::resolver('us')->entries('1 400g tin cherries')[0]->grams?->value, 1.0);
    }

    public function test_nearly_every_line_is_understood_and_hardly_one_is_taken_for_something_else(): void
    {
        [$misread, $wrong, $count] = [[], [], 0];
        foreach (self::rows('written-lines') as [$text, $key, $grams, $tolerance, $status, $measures]) {
            ++$count;
            $entries = self::resolver($measures === '' ? 'us' : $measures)->entries($text);
            $line = $entries[0];
            $found = $line->grams?->value;
            $isRight = count($entries) === 1
                && ($line->ingredient->key ?? '') === $key
                && ($grams === '' ? $found === null : self::isNear($found, (float) $grams, (float) $tolerance / 100.0))
                && in_array($line->status->value, $status === '' ? ['measured', 'assumed'] : [$status], true);
            if (!$isRight) {
                $misread[] = "{$text}: {$line->ingredient?->key} {$found} {$line->status->value}";
            }
            if ($line->ingredient !== null && $line->ingredient->key !== $key) {
                $wrong[] = "{$text}: {$line->ingredient->key}";
            }
        }

        self::assertGreaterThanOrEqual(360, $count);
        self::assertGreaterThanOrEqual(self::READ_WANTED, 1.0 - count($misread) / $count, implode("\n", $misread));
        self::assertLessThan(self::WRONG_ALLOWED, count($wrong) / $count, implode("\n", $wrong));
    }

    public function test_of_a_line_that_names_several_none_is_dropped(): void
    {
        [$misread, $count] = [[], 0];
        foreach (self::rows('several') as [$text, $wanted]) {
            ++$count;
            $entries = self::resolver('us')->entries($text);
            if (!self::areAs($wanted, $entries)) {
                $misread[] = "{$text}: " . implode('; ', array_map(self::told(...), $entries));
            }
            foreach ($entries as $number => $entry) {
                self::assertSame($text, $entry->text());
                self::assertSame(count($entries) === 1 ? null : $number + 1, $entry->part);
            }
        }

        self::assertGreaterThanOrEqual(90, $count);
        self::assertGreaterThanOrEqual(self::SEVERAL_WANTED, 1.0 - count($misread) / $count, implode("\n", $misread));
    }

    public function test_a_name_of_two_words_is_one_thing_and_a_sum_is_one_amount(): void
    {
        $count = 0;
        foreach (self::rows('one') as [$text, $key]) {
            ++$count;
            $entries = self::resolver('us')->entries($text);
            self::assertCount(1, $entries, $text);
            self::assertSame($key, $entries[0]->ingredient->key ?? '', $text);
        }
        self::assertGreaterThanOrEqual(15, $count);
    }

    public function test_a_part_reads_in_its_own_words_as_it_was_understood(): void
    {
        $resolver = self::resolver('us');
        $parts = 0;
        foreach (self::rows('several') as [$text]) {
            foreach ($resolver->entries($text) as $entry) {
                $again = $resolver->entries($entry->written->text);
                self::assertCount(1, $again, $entry->written->text);
                self::assertSame($entry->ingredient?->key, $again[0]->ingredient?->key, $entry->written->text);
                self::assertEqualsWithDelta($entry->grams->value ?? 0.0, $again[0]->grams->value ?? 0.0, 1e-9);
                ++$parts;
            }
        }
        self::assertGreaterThan(150, $parts);
    }

    public function test_a_word_that_means_something_else_elsewhere_says_so_and_offers_it(): void
    {
        $british = self::resolver('uk')->resolve('2 tbsp tomato purée');
        $american = self::resolver('us')->resolve('2 tbsp tomato purée');

        self::assertSame(['tomato-paste', 'passata'], [$british->ingredient?->key, $american->ingredient?->key]);
        self::assertContains('tomato-paste', $american->alternatives);
        self::assertStringContainsString('elsewhere the same words mean', (string) $american->note);
        self::assertSame('likely', $american->sure?->value);
    }

    public function test_a_misspelt_unit_is_taken_for_the_nearest_and_says_so(): void
    {
        self::assertStringContainsString(
            '"teapoons" taken for teaspoon',
            (string) self::resolver('us')->resolve('2 teapoons salt')->note,
        );
    }

    /** @param list<ResolvedLine> $entries */
    private static function areAs(string $wanted, array $entries): bool
    {
        $parts = explode(';', $wanted);
        if (count($parts) !== count($entries)) {
            return false;
        }
        foreach ($parts as $number => $part) {
            [$key, $grams] = [...explode(' ', trim($part)), null];
            $entry = $entries[$number];
            $tolerance = $entry->status->value === 'assumed' ? 0.6 : 0.2;
            $isAmount = $grams === null
                ? $entry->grams === null
                : self::isNear($entry->grams?->value, (float) $grams, $tolerance);
            if ($entry->ingredient?->key !== $key || !$isAmount) {
                return false;
            }
        }

        return true;
    }

    private static function isNear(?float $found, float $wanted, float $tolerance): bool
    {
        return $found !== null && abs($found - $wanted) <= $tolerance * $wanted;
    }

    private static function told(ResolvedLine $line): string
    {
        return trim("{$line->ingredient?->key} {$line->grams?->value}");
    }

    private static function resolver(string $measures): LineResolver
    {
        return new LineResolver(Catalogue::shipped(), Measures::from($measures));
    }

    /** @return iterable<array{string, string, string, string, string, string}> */
    private static function rows(string $file): iterable
    {
        foreach (file(__DIR__ . "/data/{$file}.tsv", FILE_IGNORE_NEW_LINES) ?: [] as $row) {
            if ($row !== '' && $row[0] !== ';') {
                [$text, $key, $grams, $tolerance, $status, $measures] = array_pad(explode("\t", $row), 6, '');
                yield [$text, $key, $grams, $tolerance, $status, $measures];
            }
        }
    }
}
