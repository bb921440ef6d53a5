<?php

declare(strict_types=1);

namespace Vinculum\Substitution;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Correction\Elimination;
use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TasteLoad;

/**
 * What a substitute is solved for: no change in steps on any axis, and as little as may be in fat, thickening, nose
 * heat, bulk and, where it is there for its smell, in aroma. Written flat, because a swap tries hundreds of supports.
 *
 * A row is [sweet, sour, salt, heat, amino acids, nucleotides, grams, fat, thickening, nose heat].
 *
 * @phpstan-type Row array{float, float, float, float, float, float, float, float, float, float}
 */
final readonly class SwapObjective
{
    /** Changes that count as one step of an axis would: of fat and nose heat as a ratio, of thickening in % of the whole. */
    private const FAT = 0.30;
    private const FAT_FLOOR = 3.0;
    private const THICKENING = 0.25;
    private const NOSE = 0.5;
    private const NOSE_FLOOR = 2.0;
    private const BULK = 0.35;
    private const OWN_AMOUNT = 0.35;
    /** The main axis counts this much more, for it has to stay within a step. */
    private const MAIN = 3.0;

    /** @var list<float> the five axes in steps as they should stand, then fat, thickening and nose heat in their own scales */
    private array $wanted;

    /** @var list<array{int, float, float, float}> row in the load, threshold, step width, scale */
    private array $axes;

    private float $synergy;

    /** @var Row */
    private array $rest;

    private float $wholeGrams;

    /**
     * @param Mixture    $rest        the sauce without the line
     * @param Mixture    $whole       the sauce as it was
     * @param float      $mainShift   steps that the main axis should move, for stronger or milder
     * @param float|null $heldGrams   the weight that the finished sauce keeps whatever goes in; null when it grows
     * @param float|null $ownGrams    the amount that smell or bulk ask for
     * @param float      $ownWeight   how much that counts
     */
    public function __construct(Mixture $rest, Mixture $whole, private ?Axis $main, float $mainShift, private ?float $heldGrams, private ?float $ownGrams, private float $ownWeight)
    {
        $this->synergy = TasteLoad::synergy();
        $this->rest = self::row($rest);
        $this->wholeGrams = $whole->grams();
        $axes = [];
        foreach ([Axis::Sweet, Axis::Sour, Axis::Salt, Axis::Heat, Axis::Umami] as $row => $axis) {
            $axes[] = [$row, $axis->threshold(), $axis->stepWidth(), $axis === Axis::Heat ? 1.0 : 100.0];
        }
        $this->axes = $axes;
        $wanted = $this->standing(self::row($whole), $heldGrams ?? $whole->grams());
        foreach ([Axis::Sweet, Axis::Sour, Axis::Salt, Axis::Heat, Axis::Umami] as $row => $axis) {
            $wanted[$row] = max(0.0, $wanted[$row]) + ($axis === $main ? $mainShift : 0.0);
        }
        $this->wanted = $wanted;
    }

    /** @return Row */
    public static function row(Mixture $mixture): array
    {
        $load = TasteLoad::of($mixture);

        return [$load->sweet, $load->sour, $load->salt, $load->heat, $load->aminoAcids, $load->nucleotides, $load->grams, $mixture->get(Component::Fat), $mixture->get(Component::Thickening), $mixture->get(Component::NoseHeat)];
    }

    /**
     * The best amounts of a substitute and its compensations by damped Gauss–Newton steps.
     *
     * @param list<Row>   $rows   of one gram each, the substitute first
     * @param list<float> $start  grams
     * @param list<float> $least  grams, negative where some may be taken out
     *
     * @return array{list<float>, float} grams, and the merit: the root of the weighted sum of squares
     */
    public function fit(array $rows, array $start, array $least, int $rounds = 14): array
    {
        $count = count($rows);
        $grams = array_values($start);
        $residuals = $this->residuals($rows, $grams);
        $merit = self::squared($residuals);
        $damping = 1e-2;
        for ($round = 0; $round < $rounds && $merit > 1e-8; ++$round) {
            $slopes = [];
            foreach ($rows as $index => $row) {
                $nudge = max(0.02, abs($grams[$index]) * 1e-3);
                $moved = $grams;
                $moved[$index] += $nudge;
                $slopes[] = array_map(static fn(float $after, float $before): float => ($after - $before) / $nudge, $this->residuals($rows, array_values($moved)), $residuals);
            }
            $trial = $grams;
            foreach (self::step($slopes, $residuals, $damping, $count) as $index => $move) {
                $trial[$index] = max($least[$index], $grams[$index] + $move);
            }
            $trial = array_values($trial);
            $tried = $this->residuals($rows, $trial);
            $triedMerit = self::squared($tried);
            if ($triedMerit < $merit) {
                $isSmall = $merit - $triedMerit < 1e-5;
                [$grams, $residuals, $merit] = [$trial, $tried, $triedMerit];
                $damping *= 0.3;
                if ($isSmall) {
                    break;
                }
            } elseif ($damping > 1e4) {
                break;
            } else {
                $damping *= 10.0;
            }
        }

        return [$grams, sqrt($merit)];
    }

    /**
     * The merit of given amounts.
     *
     * @param list<Row>   $rows
     * @param list<float> $grams
     */
    public function value(array $rows, array $grams): float
    {
        return sqrt(self::squared($this->residuals($rows, $grams)));
    }

    /**
     * @param list<Row>   $rows
     * @param list<float> $grams
     *
     * @return list<float>
     */
    private function residuals(array $rows, array $grams): array
    {
        $sum = $this->rest;
        foreach ($rows as $index => $row) {
            foreach ($row as $column => $perGram) {
                $sum[$column] += $grams[$index] * $perGram;
            }
        }
        $total = max(1e-6, $this->heldGrams ?? $sum[6]);
        $residuals = [];
        foreach ($this->standing($sum, $total) as $index => $stands) {
            // below its threshold an axis cannot be tasted, so there it cannot be wrong
            $residuals[] = $index < 5 && $this->wanted[$index] <= 0.0 ? max(0.0, $stands) : $stands - $this->wanted[$index];
        }
        if ($this->main !== null) {
            $row = (int) array_search($this->main, [Axis::Sweet, Axis::Sour, Axis::Salt, Axis::Heat, Axis::Umami], true);
            $residuals[] = (self::MAIN - 1.0) * $residuals[$row];
        }
        if ($this->heldGrams === null) {
            $residuals[] = 0.3 * log(max(1e-6, $sum[6]) / $this->wholeGrams) / self::BULK;
        }
        if ($this->ownGrams !== null && $this->ownGrams > 0.0) {
            $floor = 0.02 * $this->ownGrams;
            $residuals[] = $this->ownWeight * log((max(0.0, $grams[0]) + $floor) / ($this->ownGrams + $floor)) / self::OWN_AMOUNT;
        }

        return $residuals;
    }

    /**
     * Steps on the five axes (negative below the threshold, so that a search finds its way up), then fat, thickening, nose heat.
     *
     * @param array<int, float> $sum
     *
     * @return list<float>
     */
    private function standing(array $sum, float $total): array
    {
        $stands = [];
        foreach ($this->axes as [$row, $threshold, $width, $scale]) {
            $value = $scale * $sum[$row] / $total;
            if ($row === 4) {
                $value *= 1.0 + $this->synergy * 100.0 * $sum[5] / $total;
            }
            $stands[] = $value > $threshold ? log($value / $threshold) / $width : 0.25 * ($value / $threshold - 1.0) / $width;
        }
        $stands[] = log(max(0.0, 100.0 * $sum[7] / $total) + self::FAT_FLOOR) / self::FAT;
        $stands[] = 100.0 * $sum[8] / $total / self::THICKENING;
        $stands[] = log(max(0.0, 100.0 * $sum[9] / $total) + self::NOSE_FLOOR) / self::NOSE;

        return $stands;
    }

    /**
     * @param list<list<float>> $slopes    of every residual, by amount
     * @param list<float>       $residuals
     *
     * @return list<float>
     */
    private static function step(array $slopes, array $residuals, float $damping, int $count): array
    {
        $matrix = [];
        for ($i = 0; $i < $count; ++$i) {
            $row = [];
            for ($j = 0; $j < $count; ++$j) {
                $row[] = self::product($slopes[$i], $slopes[$j]) * ($i === $j ? 1.0 + $damping : 1.0) + ($i === $j ? 1e-12 : 0.0);
            }
            $matrix[] = [...$row, -self::product($slopes[$i], $residuals), 0.0];
        }

        return Elimination::solve($matrix)[0];
    }

    /**
     * @param list<float> $one
     * @param list<float> $other
     */
    private static function product(array $one, array $other): float
    {
        $sum = 0.0;
        foreach ($one as $index => $value) {
            $sum += $value * $other[$index];
        }

        return $sum;
    }

    /** @param list<float> $residuals */
    private static function squared(array $residuals): float
    {
        $sum = 0.0;
        foreach ($residuals as $residual) {
            $sum += $residual * $residual;
        }

        return $sum;
    }
}
