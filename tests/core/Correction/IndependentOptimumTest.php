<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\TestCase;
use Tests\core\Python;
use Vinculum\Chemistry\Mixture;
use Vinculum\Correction\Candidate;
use Vinculum\Correction\CorrectionLimits;
use Vinculum\Correction\CorrectionSearch;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TasteLoad;
use Vinculum\Style\StyleBook;

/** The corrections of seeded random batches against SciPy's Nelder–Mead over every support (optimum.py). */
final class IndependentOptimumTest extends TestCase
{
    private const BATCHES = 200;
    private const CANDIDATES = 4;
    private const WITHIN_STEPS = 0.25;
    private const SHARE = 0.95;

    public function test_corrections_are_as_good_as_an_independent_optimiser_finds(): void
    {
        $cases = [];
        $found = [];
        mt_srand(20261123);
        $styles = StyleBook::all();
        $catalogue = Catalogue::shipped();
        while (count($cases) < self::BATCHES) {
            $style = $styles[mt_rand(0, count($styles) - 1)];
            $batch = Mixture::nothing();
            foreach ([$style->base, 'water', 'white-sugar', 'cider-vinegar', 'salt', 'soy-sauce', 'cayenne'] as $key) {
                $most = ['salt' => 25, 'cayenne' => 3, 'soy-sauce' => 80][$key] ?? 200;
                $batch = $batch->plus($catalogue->get($key)->grams(mt_rand(0, 1) * mt_rand(1, $most)));
            }
            if ($batch->grams() < 50.0 || $style->target->distance(TasteLoad::of($batch)->taste()) < 1.0) {
                continue;
            }
            $keys = $style->correctors;
            shuffle($keys);
            $candidates = array_map(
                static fn(string $key): Candidate => Candidate::of($catalogue->get($key)),
                array_slice($keys, 0, self::CANDIDATES),
            );
            $advice = CorrectionSearch::advise($batch, $style->target, new CorrectionLimits($candidates));
            $found[] = min([
                $advice->distanceBefore,
                ...array_map(static fn($one): float => $one->distanceAfter, $advice->corrections),
            ]);
            $windows = [];
            foreach (Axis::cases() as $axis) {
                $window = $style->target->window($axis);
                $windows[$axis->value] = [$window?->low, $window?->high];
            }
            $cases[] = [
                'batch' => TasteCurve::row(TasteLoad::of($batch)),
                'candidates' => array_map(
                    static fn(Candidate $one): array => TasteCurve::row($one->perGram),
                    $candidates,
                ),
                'windows' => $windows,
                'most' => 0.4 * $batch->grams(),
            ];
        }
        $optimum = Python::figures(__DIR__ . '/optimum.py', $cases);
        $worse = [];
        foreach ($optimum as $index => $least) {
            if ($found[$index] > $least + self::WITHIN_STEPS) {
                $worse[] = sprintf('batch %d: %.2f, SciPy finds %.2f', $index, $found[$index], $least);
            }
        }

        self::assertCount(self::BATCHES, $optimum);
        self::assertLessThanOrEqual((1.0 - self::SHARE) * self::BATCHES, count($worse), implode("\n", $worse));
    }
}
