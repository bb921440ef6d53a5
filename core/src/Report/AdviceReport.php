<?php

declare(strict_types=1);

namespace Vinculum\Report;

use Vinculum\Balance\Balance;
use Vinculum\Correction\Advice;
use Vinculum\Correction\Alternative;
use Vinculum\Correction\Correction;
use Vinculum\Correction\StepCost;
use Vinculum\Kitchen\Sauce;
use Vinculum\Quantity\Spoons;
use Vinculum\Sensory\Axis;

/** What to add, what else can be done, and what one step costs of each thing that may be added. */
final readonly class AdviceReport extends Report
{
    /** Steps on another axis from which a lever's side effect is told. */
    private const NOTICED = 0.1;

    /**
     * @param array<value-of<Axis>, AxisReport> $before by axis
     * @param float $distanceBefore in steps
     * @param list<CorrectionReport> $corrections the best first
     * @param list<CorrectionReport> $besides what the style would want besides what was asked
     * @param list<string> $notes
     * @param list<array{kind: string, says: string, grams: float|null, distance_after: float|null}> $otherWays
     * @param list<array{ingredient: string, name: string, axis: value-of<Axis>, grams: float, measure: string, also: Named<float>}> $levers
     *     the strongest first
     * @param Named<CorrectionReport> $byAxis the smallest way in of each axis that is off, by axis
     */
    private function __construct(
        public array $before,
        public float $distanceBefore,
        public array $corrections,
        public array $besides,
        public array $notes,
        public array $otherWays,
        public array $levers,
        public Named $byAxis,
        public ?string $presumed,
    ) {}

    /**
     * @param list<string>|null $notes those on the whole answer; the advice's own when null
     * @param string|null $presumed the family that it was taken for, where none was named
     */
    public static function of(
        Advice $advice,
        Sauce $sauce,
        ?array $notes = null,
        ?string $presumed = null,
    ): self {
        $balance = $sauce->balance();

        return new self(
            AxisReport::all($balance->axes, $advice->aim),
            $advice->distanceBefore,
            self::corrections($advice, $balance),
            $advice->besides === null ? [] : self::corrections($advice->besides, $balance),
            $notes ?? $advice->notes,
            array_map(
                static fn(Alternative $way): array => [
                    'kind' => $way->kind,
                    'says' => $way->says,
                    'grams' => $way->grams,
                    'distance_after' => $way->distanceAfter,
                ],
                $advice->otherWays,
            ),
            self::levers($advice, $balance, $sauce->spoons()),
            new Named(
                array_map(
                    static fn(Correction $mend): CorrectionReport => CorrectionReport::of(
                        $mend,
                        $advice->aim,
                        $balance,
                    ),
                    $advice->mends,
                ),
            ),
            $presumed,
        );
    }

    /** @return list<CorrectionReport> */
    private static function corrections(Advice $advice, Balance $balance): array
    {
        return array_map(
            static fn(Correction $correction): CorrectionReport => CorrectionReport::of(
                $correction,
                $advice->aim,
                $balance,
            ),
            $advice->corrections,
        );
    }

    /** @return list<array{ingredient: string, name: string, axis: value-of<Axis>, grams: float, measure: string, also: Named<float>}> */
    private static function levers(Advice $advice, Balance $balance, Spoons $spoons): array
    {
        $levers = [];
        foreach ($balance->mixture->grams() > 0.0 ? $advice->candidates : [] as $candidate) {
            $cost = StepCost::in($balance->load(), $candidate);
            if ($cost !== null) {
                $ingredient = $candidate->ingredient;
                $levers[] = [
                    'ingredient' => $ingredient->key,
                    'name' => $ingredient->name,
                    'axis' => $cost->axis->value,
                    'grams' => $cost->grams,
                    'measure' => $ingredient->portions->measure($cost->grams, $spoons)->words(),
                    'also' => new Named(
                        array_filter(
                            $cost->also,
                            static fn(float $steps): bool => abs($steps) >= self::NOTICED,
                        ),
                    ),
                ];
            }
        }
        usort($levers, static fn(array $one, array $other): int => $one['grams'] <=> $other['grams']);

        return $levers;
    }
}
