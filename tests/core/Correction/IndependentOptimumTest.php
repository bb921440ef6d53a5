<?php

declare(strict_types=1);

namespace Tests\core\Correction;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Vinculum\Chemistry\Mixture;
use Vinculum\Chemistry\Volume;
use Vinculum\Correction\Candidate;
use Vinculum\Correction\CorrectionCosts;
use Vinculum\Correction\CorrectionLimits;
use Vinculum\Correction\CorrectionSearch;
use Vinculum\Facts\Facts;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\Target;
use Vinculum\Sensory\TasteLoad;

/** The corrections of seeded random batches against SciPy's Nelder–Mead over every support (optimum.py). */
final class IndependentOptimumTest extends TestCase
{
    private const BEFORE_MEASURING = 0.1;
    private const AFTER = 0.35;
    /** Nelder–Mead and a local search may each end in another hollow now and then. */
    private const SHARE = 0.97;
    private const ALIKE = [
        'sweeteners' => ['white-sugar', 'honey', 'light-brown-sugar', 'maple-syrup'],
        'acids' => ['cider-vinegar', 'lemon-juice', 'rice-vinegar', 'lime-juice'],
    ];

    /** @return iterable<string, array{int, string|null, bool}> */
    public static function kinds(): iterable
    {
        yield 'what a family corrects with' => [120, null, false];
        yield 'in a pot that is nearly full' => [40, null, true];
        yield 'four sweeteners' => [20, 'sweeteners', false];
        yield 'four acids' => [20, 'acids', false];
    }

    #[DataProvider('kinds')]
    public function test_corrections_are_as_good_as_an_independent_optimiser_finds(
        int $batches,
        ?string $alike,
        bool $isNearlyFull,
    ): void {
        [$cases, $exact, $measured] = self::cases($batches, $alike, $isNearlyFull);
        $optimum = KeptOptima::of($cases);

        self::assertCount($batches, $optimum);
        self::assertWithin($exact, $optimum, self::BEFORE_MEASURING);
        self::assertWithin($measured, $optimum, self::AFTER);
    }

    /**
     * @param list<float> $found
     * @param list<float> $optimum
     */
    private static function assertWithin(array $found, array $optimum, float $steps): void
    {
        $worse = [];
        foreach ($optimum as $index => $least) {
            if ($found[$index] > $least + $steps) {
                $worse[] = sprintf('batch %d: %.2f, SciPy finds %.2f', $index, $found[$index], $least);
            }
        }
        self::assertLessThanOrEqual((1.0 - self::SHARE) * count($optimum), count($worse), implode("\n", $worse));
    }

    /** @return array{list<array<string, mixed>>, list<float>, list<float>} cases, our cost before and after measuring */
    private static function cases(int $batches, ?string $alike, bool $isNearlyFull): array
    {
        mt_srand(20261123);
        [$cases, $exact, $measured] = [[], [], []];
        $styles = array_map(FamilyBook::get(...), KeptOptima::families());
        $catalogue = Catalogue::shipped();
        while (count($cases) < $batches) {
            $style = $styles[mt_rand(0, count($styles) - 1)];
            $batch = Mixture::nothing();
            foreach ([$style->base, 'water', 'white-sugar', 'cider-vinegar', 'salt', 'soy-sauce', 'cayenne'] as $key) {
                $most = ['salt' => 25, 'cayenne' => 3, 'soy-sauce' => 80][$key] ?? 200;
                $batch = $batch->plus($catalogue->get($key)->grams(mt_rand(0, 1) * mt_rand(1, $most)));
            }
            $off = $batch->grams() < 50.0 ? 0.0 : $style->target->distance(TasteLoad::of($batch)->taste());
            if ($off < 1.0 || $off > 15.0) {
                continue;
            }
            $keys = $style->correctors;
            shuffle($keys);
            $limits = (new CorrectionLimits(
                array_map(
                    static fn(string $key): Candidate => Candidate::of(
                        $catalogue->get($key),
                        mt_rand(1, 60) / 100.0 * $batch->grams(),
                        mt_rand(0, 3) * 0.05,
                    ),
                    $alike === null ? array_slice($keys, 0, 4) : self::ALIKE[$alike],
                ),
                capacityMillilitres: $isNearlyFull ? Volume::millilitres($batch) * 1.08 : null,
            ))->onlyWhatHelps(TasteLoad::of($batch), $style->target);
            if ($limits->candidates === []) {
                continue;
            }
            $nothing = CorrectionSearch::costOfNothing($batch, $style->target);
            $exact[] = min($nothing, CorrectionSearch::leastCost($batch, $style->target, $limits));
            $measured[] = min([
                $nothing,
                ...array_map(
                    static fn($one): float => $one->cost,
                    CorrectionSearch::advise($batch, $style->target, $limits)->corrections,
                ),
            ]);
            $cases[] = self::asCase($batch, $style->target, $limits);
        }

        return [$cases, $exact, $measured];
    }

    /** @return array<string, mixed> */
    private static function asCase(Mixture $batch, Target $target, CorrectionLimits $limits): array
    {
        $costs = Facts::of(CorrectionCosts::class);
        $windows = [];
        foreach (Axis::cases() as $axis) {
            $window = $target->window($axis);
            $windows[$axis->value] = [$window?->low, $window?->high];
        }
        $capacity = $limits->capacityMillilitres;

        return [
            'batch' => TasteCurve::row(TasteLoad::of($batch)),
            'candidates' => array_map(static fn(Candidate $one): array => TasteCurve::row($one->perGram), $limits->candidates),
            'windows' => $windows,
            'doses' => array_map(static fn(Candidate $one): float => $one->most, $limits->candidates),
            'takes' => array_map(
                static fn(Candidate $one): float => $capacity === null
                    ? 1.0
                    : Volume::millilitres($one->ingredient->grams(1.0)),
                $limits->candidates,
            ),
            'most' => $capacity === null ? 0.4 * $batch->grams() : $capacity - Volume::millilitres($batch),
            'each' => array_map(static fn(Candidate $one): float => $costs->each + $one->strange, $limits->candidates),
            'move' => $costs->move,
            'mass' => $costs->mass,
        ];
    }
}
