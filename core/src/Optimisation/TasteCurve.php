<?php

declare(strict_types=1);

namespace Vinculum\Optimisation;

use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TasteLoad;

/**
 * Where a mixture stands on the axes, in JND steps, as a function of the sums it is made of, with its slopes: what
 * every search follows. Below the threshold, where the handbook's scale stands still, the curve goes on in a straight
 * line of its own slope, so that a search finds its way up from nothing; whoever judges a taste counts that as no
 * steps.
 *
 * A row is [sweet, sour, salt, heat, amino acids, nucleotides, grams], in the units of TasteLoad, of one gram or of a
 * whole mixture; columns after these are the searcher's own.
 *
 * @phpstan-type Row array<int, float>
 */
final readonly class TasteCurve
{
    public const GRAMS = 6;

    private const AMINO_ACIDS = 4;
    private const NUCLEOTIDES = 5;
    private const COLUMNS = ['sweet' => 0, 'sour' => 1, 'salt' => 2, 'heat' => 3, 'umami' => self::AMINO_ACIDS];
    /** Everything is told in per cent of the batch but heat, which is told by the gram. */
    private const PER_CENT = 100.0;

    /**
     * @var array<string, array{int, float, float}> by axis: column, thresholds in a unit of its sum a gram, steps a
     *     natural logarithm
     */
    private array $axes;

    private float $synergy;

    /** @param list<Axis> $axes those that are asked for, at least one */
    public function __construct(array $axes)
    {
        $this->synergy = self::PER_CENT * TasteLoad::synergy();
        $this->axes = array_combine(
            array_column($axes, 'value'),
            array_map(static fn(Axis $axis): array => [
                self::COLUMNS[$axis->value],
                ($axis === Axis::Heat ? 1.0 : self::PER_CENT) / $axis->threshold(),
                1.0 / $axis->stepWidth(),
            ], $axes),
        );
    }

    /** @return array{float, float, float, float, float, float, float} */
    public static function row(TasteLoad $load): array
    {
        return [
            $load->sweet,
            $load->sour,
            $load->salt,
            $load->heat,
            $load->aminoAcids,
            $load->nucleotides,
            $load->grams,
        ];
    }

    /**
     * The sums with so many grams of each row added.
     *
     * @param Row $sums
     * @param list<Row> $rows of one gram each
     * @param list<float> $grams
     *
     * @return Row
     */
    public static function mixed(array $sums, array $rows, array $grams): array
    {
        foreach ($rows as $index => $row) {
            $added = $grams[$index];
            if ($added === 0.0) {
                continue;
            }
            // written out, for a search does this tens of thousands of times
            $sums[0] += $added * $row[0];
            $sums[1] += $added * $row[1];
            $sums[2] += $added * $row[2];
            $sums[3] += $added * $row[3];
            $sums[4] += $added * $row[4];
            $sums[5] += $added * $row[5];
            $sums[6] += $added * $row[6];
            for ($column = self::GRAMS + 1; isset($row[$column]); ++$column) {
                $sums[$column] += $added * $row[$column];
            }
        }

        return $sums;
    }

    /**
     * @param Row $sums
     * @param float $total grams of the whole
     *
     * @return array<string, float> steps by axis, negative below the threshold
     */
    public function steps(array $sums, float $total): array
    {
        $steps = [];
        foreach ($this->axes as $axis => [$column, $perThreshold, $perLog]) {
            $thresholds = $perThreshold * $sums[$column] / $total;
            if ($column === self::AMINO_ACIDS) {
                $thresholds *= 1.0 + $this->synergy * $sums[self::NUCLEOTIDES] / $total;
            }
            $steps[$axis] = ($thresholds > 1.0 ? log($thresholds) : $thresholds - 1.0) * $perLog;
        }

        return $steps;
    }

    /**
     * How fast the steps on one axis move with a gram of each row.
     *
     * @param Row $sums
     * @param float $total grams of the whole
     * @param list<Row> $rows of one gram each
     * @param bool $isHeld whether the whole keeps its weight whatever goes in
     *
     * @return list<float> steps a gram, by row
     */
    public function slopes(string $axis, array $sums, float $total, array $rows, bool $isHeld = false): array
    {
        [$column, $perThreshold, $perLog] = $this->axes[$axis];
        $isUmami = $column === self::AMINO_ACIDS;
        $boost = $isUmami ? 1.0 + $this->synergy * $sums[self::NUCLEOTIDES] / $total : 1.0;
        $thresholds = $perThreshold * $sums[$column] / $total * $boost;
        $per = $perThreshold * $boost * $perLog / $total;
        if ($thresholds > 1.0) {
            $per /= $thresholds;
        }
        $share = $isHeld ? 0.0 : $sums[$column] / $total;
        $slopes = [];
        if (!$isUmami) {
            foreach ($rows as $row) {
                $slopes[] = $per * ($row[$column] - $share * $row[self::GRAMS]);
            }

            return $slopes;
        }
        $perNucleotides = $this->synergy * min(1.0, $thresholds) * $perLog / ($total * $boost);
        $shareOfNucleotides = $isHeld ? 0.0 : $sums[self::NUCLEOTIDES] / $total;
        foreach ($rows as $row) {
            $slopes[] = $per * ($row[$column] - $share * $row[self::GRAMS])
                + $perNucleotides * ($row[self::NUCLEOTIDES] - $shareOfNucleotides * $row[self::GRAMS]);
        }

        return $slopes;
    }

    /**
     * The grams of a row at which an axis stands on so many steps; exact where nothing is synergic.
     *
     * @param Row $sums
     * @param Row $row
     *
     * @return float|null null where no positive amount does
     */
    public function gramsTo(string $axis, float $steps, array $sums, array $row): ?float
    {
        [$column, $perThreshold, $perLog] = $this->axes[$axis];
        $share = exp($steps / $perLog) / $perThreshold;
        $bend = $row[$column] - $share * $row[self::GRAMS];
        $grams = $bend === 0.0 ? 0.0 : ($share * $sums[self::GRAMS] - $sums[$column]) / $bend;

        return $grams > 0.0 && is_finite($grams) ? $grams : null;
    }
}
