<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\LineStatus;
use Vinculum\Recipe\Resolution\ResolvedLine;
use Vinculum\Recipe\Writing\AmountWriter;

final class AmountWriterTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> written, one notch up, one notch down */
    public static function notches(): iterable
    {
        yield 'a spoon' => ['1 tbsp soy sauce [cold]', '1½ tbsp soy sauce [cold]', '½ tbsp soy sauce [cold]'];
        yield 'a small spoon' => ['¼ tsp cayenne', '⅜ tsp cayenne', '⅛ tsp cayenne'];
        yield 'three teaspoons are a tablespoon' => ['2¾ tsp sugar', '1 tbsp sugar', '2½ tsp sugar'];
        yield 'grams' => ['sugar: 250 g', 'sugar: 255 g', 'sugar: 245 g'];
        yield 'a second amount goes, for it would no longer hold' => [
            '½ cup (110 g) light brown sugar, packed',
            '⅝ cup light brown sugar, packed',
            '⅜ cup light brown sugar, packed',
        ];
        yield 'a weight in brackets after the name' => [
            '1 onion (150 g), chopped',
            '1½ onion, chopped',
            '¾ onion, chopped',
        ];
        yield 'a range goes to its ends' => [
            '3–4 cloves garlic, crushed',
            '4 cloves garlic, crushed',
            '3 cloves garlic, crushed',
        ];
        yield 'a part of a fruit' => ['juice of 1 lemon', 'juice of 1½ lemon', 'juice of ¾ lemon'];
        yield 'tins' => [
            '2 × 400 g tins chopped tomatoes',
            '2½ × 400 g tins chopped tomatoes',
            '1½ × 400 g tins chopped tomatoes',
        ];
        yield 'after the name' => ['garlic, 3 cloves', 'garlic, 3½ cloves', 'garlic, 2½ cloves'];
        yield 'a vague measure' => ['a pinch of cayenne', '1½ pinches cayenne', '½ pinch cayenne'];
        yield 'kilograms' => ['1 kg tomatoes', '1.05 kg tomatoes', '0.95 kg tomatoes'];
        yield 'nothing below the last notch' => ['⅛ tsp salt', '¼ tsp salt', '⅛ tsp salt'];
        yield 'the first amount of a line without one' => ['salt to taste', '⅛ tsp salt to taste', 'salt to taste'];
        yield 'what is not known stays' => ['3 tbsp zorp', '3 tbsp zorp', '3 tbsp zorp'];
    }

    #[DataProvider('notches')]
    public function test_an_amount_goes_by_what_its_own_tool_can_measure(
        string $written,
        string $up,
        string $down,
    ): void {
        $line = self::resolve($written);

        self::assertSame($up, AmountWriter::notched($line, 1, Measures::Us));
        self::assertSame($down, AmountWriter::notched($line, -1, Measures::Us));
    }

    public function test_any_line_of_the_corpus_written_anew_reads_back_as_the_new_amount(): void
    {
        $written = 0;
        foreach (file(__DIR__ . '/data/lines.tsv', FILE_IGNORE_NEW_LINES) ?: [] as $row) {
            $line = self::resolve(explode("\t", $row)[0]);
            if (
                $line->grams === null
                || $line->grams->value < 4.0
                || $line->written->amountText === ''
                || !in_array($line->status, [LineStatus::Measured, LineStatus::Assumed], true)
            ) {
                continue;
            }
            $wanted = 2.5 * $line->grams->value;
            $again = self::resolve(AmountWriter::inGrams($line, $wanted, Measures::Us));
            self::assertSame($line->ingredient?->key, $again->ingredient?->key, "{$line->text()} → {$again->text()}");
            self::assertEqualsWithDelta(
                $wanted,
                $again->grams?->value,
                0.3 * $wanted,
                "{$line->text()} → {$again->text()}",
            );
            ++$written;
        }
        self::assertGreaterThan(200, $written);
    }

    private static function resolve(string $text): ResolvedLine
    {
        return (new LineResolver(Catalogue::shipped(), Measures::Us))->resolve($text);
    }

    /** However a line tells its amount, what is written at another size reads as that size: nothing stays as it was. */
    public function test_a_line_at_another_size_reads_as_that_size(): void
    {
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Metric);
        $read = 0;
        foreach (['pears', 'tomatoes', 'onions', 'carrots'] as $name) {
            foreach ([
                '1¼ kg N, peeled and diced (900 g prepared)', '1 kg N (about 800 g prepared)', '4 N, peeled & chopped (500 g)',
                '400 g N (about 3), chopped', '2 large N (about 300 g)', '500g/1lb 2oz N, diced', 'N, 600 g, sliced',
            ] as $way) {
                $line = $resolver->resolve(str_replace('N', $name, $way));
                foreach ([2.0, 3.0] as $factor) {
                    $grams = $factor * (float) $line->grams?->value;
                    $text = AmountWriter::inGrams($line, $grams, Measures::Metric);
                    self::assertEqualsWithDelta($grams, $resolver->resolve($text)->grams?->value, 0.06 * $grams, "{$way} → {$text}");
                    $first = explode(' ', $way)[0];
                    self::assertNotSame($first === 'N,' ? '' : $first, explode(' ', $text)[0], "{$way} → {$text}");
                    ++$read;
                }
            }
        }
        self::assertSame(56, $read);
    }
}
