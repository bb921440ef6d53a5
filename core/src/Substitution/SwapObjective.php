<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Optimisation\LeastSquares;
use Vinculum\Optimisation\TasteCurve;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TasteLoad;

/**
 * What a substitute is solved for: no change in steps on any axis, and as little as may be in fat, thickening, nose
 * heat, bulk and, where it is there for its smell, in aroma. A row is one of TasteCurve, with fat, thickening and nose
 * heat in the columns after.
 *
 * @phpstan-type Row array<int, float>
 */
final readonly class SwapObjective
{
    /**
     * Changes that count as one step of an axis would: of fat and nose heat as a ratio, of thickening in % of the
     * whole.
     */
    private const FAT = 0.30;
    private const FAT_FLOOR = 3.0;
    private const THICKENING = 0.25;
    private const NOSE = 0.5;
    private const NOSE_FLOOR = 2.0;
    private const BULK = 0.35;
    private const OWN_AMOUNT = 0.35;
    /** The main axis counts this much more, for it has to stay within a step. */
    private const MAIN = 3.0;
    /** Steps, above the threshold or of a move. */
    private const HARDLY = 1.0;

    private const FAT_COLUMN = TasteCurve::GRAMS + 1;
    private const THICKENING_COLUMN = TasteCurve::GRAMS + 2;
    private const NOSE_COLUMN = TasteCurve::GRAMS + 3;
    private const ROUNDS = 14;
    private const BULK_WEIGHT = 0.3;

    private TasteCurve $curve;

    /** @var array<string, float> steps as they should stand, by axis */
    private array $wanted;

    /** @var array<int, float> the same of fat, thickening and nose heat in their own scales, by column */
    private array $wantedBody;

    /** @var Row */
    private array $rest;

    private float $wholeGrams;

    /**
     * @param Mixture $rest the sauce without the line
     * @param Mixture $whole the sauce as it was
     * @param float $mainShift steps that the main axis should move, for stronger or milder
     * @param float|null $heldGrams the weight that the finished sauce keeps whatever goes in; null when it grows
     * @param float|null $ownGrams the amount that smell or bulk ask for
     * @param float $ownWeight how much that counts
     */
    public function __construct(
        Mixture $rest,
        Mixture $whole,
        private ?Axis $main,
        float $mainShift,
        private ?float $heldGrams,
        private ?float $ownGrams,
        private float $ownWeight,
    ) {
        $this->curve = new TasteCurve(Axis::cases());
        $this->rest = self::row($rest);
        $this->wholeGrams = $whole->grams();
        [$row, $total] = [self::row($whole), $heldGrams ?? $whole->grams()];
        // below its threshold an axis cannot be tasted: it should stand at nothing
        $wanted = array_map(static fn(float $steps): float => max(0.0, $steps), $this->curve->steps($row, $total));
        if ($main !== null) {
            $wanted[$main->value] += $mainShift;
        }
        $this->wanted = $wanted;
        $this->wantedBody = array_map(
            static fn(array $stands): float => $stands[0],
            self::body($row, $total, [], false),
        );
    }

    /** @return Row */
    public static function row(Mixture $mixture): array
    {
        return [
            ...TasteCurve::row(TasteLoad::of($mixture)),
            $mixture->get(Component::Fat),
            $mixture->get(Component::Thickening),
            $mixture->get(Component::Pungency),
        ];
    }

    /**
     * The best amounts of a substitute and its compensations.
     *
     * @param list<Row> $rows of one gram each, the substitute first
     * @param list<float> $start grams
     * @param list<float> $least grams, negative where some may be taken out
     * @param list<float>|null $greatest grams; no bound where null
     * @param float $most grams that all may come to
     *
     * @return array{list<float>, float} grams, and the merit: the root of the weighted sum of squares
     */
    public function fit(
        array $rows,
        array $start,
        array $least,
        ?array $greatest = null,
        float $most = INF,
    ): array {
        return (new LeastSquares(self::ROUNDS, most: $most, least: $least, greatest: $greatest))->fit(
            fn(array $trial): array => $this->residuals($rows, $trial),
            $start,
        );
    }

    /**
     * Whether so much of a thing leaves the whole sauce within a step of what it was: nobody would make up for it.
     *
     * @param Row $row of one gram
     */
    public function leavesTheTaste(array $row, float $grams): bool
    {
        $sums = TasteCurve::mixed($this->rest, [$row], [$grams]);
        $moved = 0.0;
        $total = max(1e-6, $this->heldGrams ?? $sums[TasteCurve::GRAMS]);
        foreach ($this->curve->steps($sums, $total) as $axis => $steps) {
            $moved += (max(0.0, $steps) - max(0.0, $this->wanted[$axis])) ** 2;
        }

        return $moved < self::HARDLY ** 2;
    }

    /**
     * @param list<Row> $rows
     * @param list<float> $grams
     *
     * @return list<array{float, list<float>}> each with its slopes by amount
     */
    private function residuals(array $rows, array $grams): array
    {
        $sums = TasteCurve::mixed($this->rest, $rows, $grams);
        $isHeld = $this->heldGrams !== null;
        $total = max(1e-6, $this->heldGrams ?? $sums[TasteCurve::GRAMS]);
        $residuals = [];
        foreach ($this->curve->steps($sums, $total) as $axis => $steps) {
            // a step from its threshold an axis is hardly tasted: nothing is put in for its sake
            if ($this->wanted[$axis] <= self::HARDLY && $steps <= self::HARDLY) {
                continue;
            }
            [$off, $slopes] = [
                $steps - max(self::HARDLY, $this->wanted[$axis]),
                $this->curve->slopes($axis, $sums, $total, $rows, $isHeld),
            ];
            $residuals[] = [$off, $slopes];
            if ($axis === $this->main?->value) {
                $residuals[] = [
                    (self::MAIN - 1.0) * $off,
                    array_map(static fn(float $slope): float => (self::MAIN - 1.0) * $slope, $slopes),
                ];
            }
        }
        foreach (self::body($sums, $total, $rows, $isHeld) as $column => [$stands, $slopes]) {
            $residuals[] = [$stands - $this->wantedBody[$column], $slopes];
        }
        if (!$isHeld) {
            $weight = self::BULK_WEIGHT / self::BULK;
            $residuals[] = [
                $weight * log($total / $this->wholeGrams),
                array_map(static fn(array $row): float => $weight * $row[TasteCurve::GRAMS] / $total, $rows),
            ];
        }
        if ($this->ownGrams !== null && $this->ownGrams > 0.0) {
            [$floor, $weight] = [0.02 * $this->ownGrams, $this->ownWeight / self::OWN_AMOUNT];
            $now = max(0.0, $grams[0]) + $floor;
            $residuals[] = [
                $weight * log($now / ($this->ownGrams + $floor)),
                [$weight / $now, ...array_fill(0, count($rows) - 1, 0.0)],
            ];
        }

        return $residuals;
    }

    /**
     * Fat, thickening and nose heat on scales of which one counts as a step, with their slopes by amount.
     *
     * @param Row $sums
     * @param list<Row> $rows
     *
     * @return array<int, array{float, list<float>}> by column
     */
    private static function body(array $sums, float $total, array $rows, bool $isHeld): array
    {
        $stands = [];
        foreach ([
            self::FAT_COLUMN => [self::FAT, self::FAT_FLOOR],
            self::THICKENING_COLUMN => [self::THICKENING, null],
            self::NOSE_COLUMN => [self::NOSE, self::NOSE_FLOOR],
        ] as $column => [$one, $floor]) {
            $percent = 100.0 * max(0.0, $sums[$column]) / $total;
            $per = 100.0 / $total / $one / ($floor === null ? 1.0 : $percent + $floor);
            $slopes = [];
            foreach ($rows as $row) {
                $slopes[] = $per
                    * ($row[$column] - ($isHeld ? 0.0 : $sums[$column] * $row[TasteCurve::GRAMS] / $total));
            }
            $stands[$column] = [($floor === null ? $percent : log($percent + $floor)) / $one, $slopes];
        }

        return $stands;
    }
}
