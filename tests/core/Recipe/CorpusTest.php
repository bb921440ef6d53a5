<?php

declare(strict_types=1);

namespace Tests\core\Recipe;

use PHPUnit\Framework\TestCase;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Ingredient\NameWords;
use Vinculum\Quantity\Measures;
use Vinculum\Recipe\Parser\LineGrammar;
use Vinculum\Recipe\Parser\WrittenAmount;
use Vinculum\Recipe\Resolution\LineResolver;
use Vinculum\Recipe\Resolution\NameReading;
use Vinculum\Recipe\Writing\LinePrinter;

/** Some four hundred lines as cooks write them, with what each means: data/lines.tsv. */
final class CorpusTest extends TestCase
{
    private const SHARE_WANTED = 0.97;

    public function test_nearly_every_line_is_understood_within_its_tolerance(): void
    {
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
        $rows = self::rows();
        $wrong = [];
        foreach ($rows as [$text, $key, $grams, $tolerance, $status]) {
            $line = $resolver->resolve($text);
            $found = $line->grams?->value;
            $isRight = ($line->ingredient->key ?? '') === $key
                && (
                    $grams === '' ? $found === null : $found !== null
                    && abs($found - (float) $grams) <= (float) $grams * (float) $tolerance / 100.0
                )
                && in_array($line->status->value, $status === '' ? ['measured', 'assumed'] : [$status], true);
            if (!$isRight) {
                $wrong[] = "{$text}: {$line->ingredient?->key} {$found} {$line->status->value}";
            }
        }

        self::assertGreaterThanOrEqual(300, count($rows));
        self::assertGreaterThanOrEqual(self::SHARE_WANTED, 1.0 - count($wrong) / count($rows), implode("\n", $wrong));
    }

    public function test_what_was_understood_is_printed_and_read_again_as_the_same(): void
    {
        $grammar = new LineGrammar(Measures::Us, new NameReading(Catalogue::shipped()));
        foreach (self::rows() as [$text]) {
            $line = $grammar->read($text)->first();
            if ($line->isNonsense) {
                continue;
            }
            $printed = LinePrinter::print($line);
            $again = $grammar->read($printed)->first();
            $gist = static fn(?WrittenAmount $one): array => $one === null
                ? []
                : [
                    round($one->low * $one->fill, 5),
                    round($one->high * $one->fill, 5),
                    $one->unit?->name,
                    $one->counted,
                    $one->pack,
                ];
            self::assertSame($gist($line->measured), $gist($again->measured), "{$text} → {$printed}");
            self::assertSame(
                [NameWords::of($line->name), $line->part, $line->alternatives],
                [NameWords::of($again->name), $again->part, $again->alternatives],
                "{$text} → {$printed}",
            );
            $tags = [$line->tags, $again->tags];
            sort($tags[0]);
            sort($tags[1]);
            self::assertSame($tags[0], $tags[1], "{$text} → {$printed}");
        }
    }

    public function test_a_hostile_paste_is_read_in_its_share_of_time(): void
    {
        $resolver = new LineResolver(Catalogue::shipped(), Measures::Us);
        $hostile = [
            str_repeat('1/', 200_000),
            str_repeat('(', 100_000),
            str_repeat('½ ', 100_000),
            str_repeat('a or ', 50_000),
            str_repeat('juice of ', 50_000),
            '1 ' . str_repeat('salty', 100_000),
        ];
        foreach ($hostile as $text) {
            $line = $resolver->resolve($text);
            self::assertSame($text, $line->text());
            self::assertNotNull($line->note);
        }
    }

    /**
     * @return list<array{string, string, string, string, string}> line, ingredient, grams, tolerance in per cent,
     *     status
     */
    private static function rows(): array
    {
        $rows = [];
        foreach (file(__DIR__ . '/data/lines.tsv', FILE_IGNORE_NEW_LINES) ?: [] as $row) {
            if (!str_starts_with($row, '#')) {
                [$text, $key, $grams, $tolerance, $status] = explode("\t", $row);
                $rows[] = [$text, $key, $grams, $tolerance, $status];
            }
        }

        return $rows;
    }
}
