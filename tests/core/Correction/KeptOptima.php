<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use Tests\core\Python;

/**
 * What SciPy found for each case (optimum.py), kept by the case's figures in optima.json: a case that is not there, because
 * facts or formulas changed, is given to SciPy anew. To keep what is found then: KEEP_OPTIMA=1 vendor/bin/phpunit --filter
 * IndependentOptimumTest.
 */
final class KeptOptima
{
    private const FILE = __DIR__ . '/optima.json';
    /** Figures of a case that agree to so many digits have one optimum. */
    private const DIGITS = 9;

    /** @return list<string> keys of the families that batches are drawn for: a new one changes no draw */
    public static function families(): array
    {
        return self::kept()['families'];
    }

    /**
     * @param list<array<string, mixed>> $cases
     *
     * @return list<float> the least cost of each
     */
    public static function of(array $cases): array
    {
        $kept = self::kept();
        $keys = array_map(self::keyOf(...), $cases);
        $new = array_diff_key(array_combine($keys, $cases), $kept['optima']);
        $found = $new === [] ? [] : array_combine(array_keys($new), Python::figures(__DIR__ . '/optimum.py', array_values($new)));
        $optima = [...$kept['optima'], ...$found];
        if ($found !== [] && getenv('KEEP_OPTIMA') === '1') {
            ksort($optima);
            file_put_contents(self::FILE, json_encode(['families' => $kept['families'], 'optima' => $optima], JSON_PRETTY_PRINT) . "\n");
        }

        return array_map(static fn(string $key): float => $optima[$key], $keys);
    }

    /** @param array<string, mixed> $case */
    private static function keyOf(array $case): string
    {
        array_walk_recursive($case, static function (mixed &$figure): void {
            $figure = is_float($figure) || is_int($figure) ? sprintf('%.' . self::DIGITS . 'g', $figure) : $figure;
        });

        return 'case-' . substr(hash('sha256', (string) json_encode($case)), 0, 12);
    }

    /** @return array{families: list<string>, optima: array<string, float>} */
    private static function kept(): array
    {
        /** @var array{families: list<string>, optima: array<string, float>} $kept */
        $kept = json_decode((string) file_get_contents(self::FILE), true);

        return $kept;
    }
}
