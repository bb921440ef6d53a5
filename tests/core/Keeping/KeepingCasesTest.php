<?php

declare(strict_types=1);

namespace Tests\core\Keeping;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Balance\Balance;
use Vinculum\Balance\Formula;
use Vinculum\Cooking\MethodReader;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Keeping\Caution;
use Vinculum\Keeping\Keep;
use Vinculum\Quantity\Measures;

/**
 * Nobody is told that something keeps longer than it is safe, and nothing that is safe is told to go bad:
 * data/keeping.tsv, data/hazards.tsv.
 */
final class KeepingCasesTest extends TestCase
{
    /** @return iterable<string, array{list<string>, list<string>, float|null, float|null, list<string>, list<string>}> */
    public static function cases(): iterable
    {
        foreach (self::rows() as $row) {
            [$lines, $method, $most, $least, $codes, $besides] = [...explode("\t", $row), '', '', '', '', ''];
            yield "{$lines} {$method} {$besides}" => [
                explode(' | ', $lines),
                self::several($method),
                $most === '' ? null : (float) $most,
                $least === '' ? null : (float) $least,
                array_values(array_filter(explode(' ', $codes))),
                self::several($besides),
            ];
        }
    }

    /**
     * @param list<string> $lines
     * @param list<string> $method
     * @param list<string> $codes with "!" before those that must not be there
     * @param list<string> $besides title and notes
     */
    #[DataProvider('cases')]
    public function test_it_is_neither_under_cautious_nor_foolish(
        array $lines,
        array $method,
        ?float $most,
        ?float $least,
        array $codes,
        array $besides,
    ): void {
        $keep = Keep::of(
            Balance::of(
                Formula::fromTexts($lines, Catalogue::shipped(), Measures::Metric),
                MethodReader::treatment($method, besides: $besides),
            ),
        );
        $said = array_map(static fn(Caution $one): string => $one->code, $keep->cautions);
        $why = implode(' / ', $keep->reasons);
        if ($most !== null) {
            self::assertLessThanOrEqual($most, $keep->days['high'], $why);
        }
        if ($least !== null) {
            self::assertGreaterThanOrEqual($least, $keep->days['high'], $why);
        }
        foreach ($codes as $code) {
            str_starts_with($code, '!')
                ? self::assertNotContains(substr($code, 1), $said)
                : self::assertContains($code, $said);
        }
        self::assertNotSame([], [...$keep->reasons, ...$said]);
    }

    /** @return list<string> */
    private static function rows(): array
    {
        $rows = array_merge(
            file(__DIR__ . '/data/keeping.tsv', FILE_IGNORE_NEW_LINES) ?: [],
            file(__DIR__ . '/data/hazards.tsv', FILE_IGNORE_NEW_LINES) ?: [],
        );

        return array_values(array_filter($rows, static fn(string $row): bool => !str_starts_with($row, '#')));
    }

    /** @return list<string> */
    private static function several(string $text): array
    {
        return array_values(array_filter(explode(' | ', trim($text))));
    }

    public function test_there_are_enough_of_both(): void
    {
        $cases = iterator_to_array(self::cases());
        self::assertGreaterThanOrEqual(
            60,
            count(
                array_filter(
                    $cases,
                    static fn(array $case): bool => $case[2] !== null
                        || array_filter($case[4], static fn(string $code): bool => !str_starts_with($code, '!')) !== [],
                ),
            ),
        );
        self::assertGreaterThanOrEqual(
            10,
            count(array_filter($cases, static fn(array $case): bool => $case[3] !== null)),
        );
    }
}
