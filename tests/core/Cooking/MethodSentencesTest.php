<?php

declare(strict_types=1);

namespace Tests\core\Cooking;

use PHPUnit\Framework\TestCase;
use Vinculum\Cooking\Lid;
use Vinculum\Cooking\MethodReader;
use Vinculum\Cooking\MethodStep;

/** Sentences of methods, with what a cook reads in them: ../Recipe/data/method.tsv, written before the reader was tried. */
final class MethodSentencesTest extends TestCase
{
    private const WANTED = 0.96;
    /** Of several steps in a sentence the one that does most. */
    private const ORDER = ['do', 'blend', 'strain', 'cool', 'rest', 'heat', 'reduce'];
    private const LIDS = ['yes' => Lid::On, 'no' => Lid::Off, 'half' => Lid::Ajar];

    public function test_nearly_every_sentence_is_read_as_a_cook_reads_it(): void
    {
        [$misread, $count] = [[], 0];
        foreach (file(__DIR__ . '/../Recipe/data/method.tsv', FILE_IGNORE_NEW_LINES) ?: [] as $row) {
            if ($row === '' || $row[0] === ';') {
                continue;
            }
            ++$count;
            [$text, $kind, $minutes, $celsius, $left, $lid] = array_pad(explode("\t", $row), 6, '');
            $steps = MethodReader::steps([$text]);
            $isRight = self::kind($steps) === $kind
                && self::areMinutes($minutes, $steps)
                && self::isNear($celsius, array_map(static fn(MethodStep $step): ?float => $step->celsius, $steps), 1.0)
                && self::isNear($left, array_map(static fn(MethodStep $step): ?float => $step->left, $steps), 0.01)
                && ($lid === '' || end($steps)->lid === self::LIDS[$lid]);
            if (!$isRight) {
                $misread[] = $text;
            }
        }

        self::assertGreaterThanOrEqual(300, $count);
        self::assertGreaterThanOrEqual(self::WANTED, 1.0 - count($misread) / $count, implode("\n", $misread));
    }

    public function test_an_oven_a_jar_and_a_pressure_cooker_are_no_open_pan(): void
    {
        foreach (
            [
                'Roast at 200 °C for 40 minutes, until it bubbles.',
                'Boil the jars in a water bath for 10 minutes.',
                'Pressure cook for 20 minutes.',
                'Simmer in a slow cooker for 8 hours.',
                'Warm gently for 5 minutes; do not boil.',
            ] as $text
        ) {
            foreach (MethodReader::steps([$text]) as $step) {
                self::assertNull($step->evaporates(0.05), $text);
            }
        }
    }

    public function test_a_lid_ajar_lets_about_half_of_it_out(): void
    {
        $water = static fn(string $text): float => MethodReader::steps([$text])[0]->evaporates(0.05)['value'] ?? 0.0;
        $open = $water('Simmer 40 minutes.');

        self::assertEqualsWithDelta(0.55, $water('Simmer with the lid ajar for 40 minutes.') / $open, 0.06);
        self::assertSame($open, $water('Add water to cover and simmer 40 minutes.'));
    }

    /** @param list<MethodStep> $steps */
    private static function kind(array $steps): string
    {
        $most = 0;
        foreach ($steps as $step) {
            $most = max($most, (int) array_search($step->kind, self::ORDER, true));
        }

        return self::ORDER[$most];
    }

    /** @param list<MethodStep> $steps */
    private static function areMinutes(string $wanted, array $steps): bool
    {
        $sum = null;
        foreach ($steps as $step) {
            if ($step->minutes !== null) {
                $sum = [($sum[0] ?? 0.0) + $step->minutes[0], ($sum[1] ?? 0.0) + $step->minutes[1]];
            }
        }
        if ($wanted === '' || $sum === null) {
            return $wanted === '' && $sum === null;
        }
        [$low, $high] = explode('-', $wanted);

        return abs($sum[0] - (float) $low) <= 0.02 * (float) $low
            && ($high === '' || abs($sum[1] - (float) $high) <= 0.02 * (float) $high);
    }

    /** @param list<float|null> $found */
    private static function isNear(string $wanted, array $found, float $tolerance): bool
    {
        $first = array_values(array_filter($found, is_float(...)))[0] ?? null;

        return $wanted === '' ? $first === null : $first !== null && abs($first - (float) $wanted) <= $tolerance;
    }
}
