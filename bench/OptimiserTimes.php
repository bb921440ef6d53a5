<?php

declare(strict_types=1);

namespace Bench;

use Vinculum\Chemistry\Mixture;
use Vinculum\Correction\Candidate;
use Vinculum\Correction\CorrectionLimits;
use Vinculum\Correction\CorrectionSearch;
use Vinculum\Family\FamilyBook;
use Vinculum\Ingredient\Catalogue;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TasteLoad;

/** The search for corrections against the independent optimiser of its tests (SciPy), on the same seeded batches. */
final readonly class OptimiserTimes
{
    private const CANDIDATES = 4;

    /**
     * @param float $ours milliseconds a batch
     * @param float $theirs milliseconds a batch, without what it takes to start
     */
    private function __construct(public float $ours, public float $theirs) {}

    public static function on(int $batches): self
    {
        mt_srand(20261124);
        $catalogue = Catalogue::shipped();
        $style = FamilyBook::get('tomato-barbecue');
        $candidates = array_map(
            static fn(string $key): Candidate => Candidate::of($catalogue->get($key)),
            array_slice($style->correctors, 0, self::CANDIDATES),
        );
        $windows = [];
        foreach (Axis::cases() as $axis) {
            $window = $style->target->window($axis);
            $windows[$axis->value] = [$window?->low, $window?->high];
        }
        [$mixtures, $cases] = [[], []];
        for ($batch = 0; $batch < $batches; ++$batch) {
            $mixture = Mixture::nothing();
            foreach ([
                'tinned-tomatoes' => 400,
                'white-sugar' => 120,
                'cider-vinegar' => 120,
                'salt' => 20,
            ] as $key => $most) {
                $mixture = $mixture->plus($catalogue->get($key)->grams((float) mt_rand(1, $most)));
            }
            $mixtures[] = $mixture;
            $cases[] = [
                'batch' => TasteCurve::row(TasteLoad::of($mixture)),
                'candidates' => array_map(
                    static fn(Candidate $one): array => TasteCurve::row($one->perGram),
                    $candidates,
                ),
                'windows' => $windows,
                'most' => 0.4 * $mixture->grams(),
            ];
        }
        $start = hrtime(true);
        foreach ($mixtures as $mixture) {
            CorrectionSearch::advise($mixture, $style->target, new CorrectionLimits($candidates));
        }
        $ours = (hrtime(true) - $start) / 1e6;

        return new self($ours / $batches, (self::optimiser($cases) - self::optimiser([])) / $batches);
    }

    /**
     * @param list<array<string, mixed>> $cases
     *
     * @return float milliseconds
     */
    private static function optimiser(array $cases): float
    {
        $start = hrtime(true);
        $process = proc_open(
            ['/usr/bin/python3', dirname(__DIR__) . '/tests/core/Correction/optimum.py'],
            [['pipe', 'r'], ['pipe', 'w'], ['file', '/dev/null', 'w']],
            $pipes,
        );
        assert(is_resource($process));
        fwrite($pipes[0], (string) json_encode($cases));
        fclose($pipes[0]);
        stream_get_contents($pipes[1]);
        proc_close($process);

        return (hrtime(true) - $start) / 1e6;
    }
}
