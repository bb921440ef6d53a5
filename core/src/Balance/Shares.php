<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Sensory\Axis;
use Vinculum\Sensory\TasteLoad;

/** Which line brings how much of each axis: what makes a sauce what it is. */
final readonly class Shares
{
    /** Less than this share is not worth a word. */
    private const LEAST = 0.005;
    private const NAMED = 0.05;
    private const MOST_NAMED = 3;

    /**
     * @param array<value-of<Axis>, array<int, float>> $byAxis share from 0 to 1 by axis and line number from 0, the largest
     *     first
     */
    private function __construct(public array $byAxis) {}

    /**
     * Sweet, salt and heat are sums, so a line's share is its part of the sum. Sour is a sum too, of which only what
     * is acid counts. Umami is a product of two sums: half of what the two make together goes to each (the Shapley
     * value of a product), so that the shares still add up to the whole.
     */
    public static function of(Formula $formula): self
    {
        $loads = [];
        foreach ([...$formula->lines, ...$formula->doses] as $number => $line) {
            if ($line->countsInTheMixture()) {
                $loads[$number] = TasteLoad::of($line->mixture());
            }
        }
        $grams = array_sum(array_map(static fn(TasteLoad $load): float => $load->grams, $loads));
        $nucleotides = array_sum(array_map(static fn(TasteLoad $load): float => $load->nucleotides, $loads));
        $aminoAcids = array_sum(array_map(static fn(TasteLoad $load): float => $load->aminoAcids, $loads));
        $half = $grams > 0.0 ? 50.0 * TasteLoad::synergy() / $grams : 0.0;
        $brought = [];
        foreach (Axis::cases() as $axis) {
            $brought[$axis->value] = array_map(static fn(TasteLoad $load): float => max(
                0.0,
                $axis === Axis::Umami
                    ? $load->aminoAcids + $half * ($load->aminoAcids * $nucleotides + $aminoAcids * $load->nucleotides)
                    : $load->on($axis),
            ), $loads);
        }

        return new self(array_map(self::shares(...), $brought));
    }

    /** "62 % of the salt comes from soy sauce, 31 % of the salt comes from salt"; of nothing, that nothing brings any. */
    public function says(Axis $axis, Formula $formula): string
    {
        $lines = [...$formula->lines, ...$formula->doses];
        $named = [];
        foreach ($this->byAxis[$axis->value] as $number => $share) {
            if ($share >= self::NAMED && count($named) < self::MOST_NAMED) {
                $named[] = sprintf(
                    '%.0f %% of the %s comes from %s',
                    100.0 * $share,
                    $axis->value,
                    mb_strtolower($lines[$number]->called()),
                );
            }
        }

        return $this->byAxis[$axis->value] === [] ? "Nothing brings any {$axis->value}." : implode(', ', $named);
    }

    /**
     * @param array<int, float> $brought by line
     *
     * @return array<int, float>
     */
    private static function shares(array $brought): array
    {
        $sum = array_sum($brought);
        $shares = $sum <= 0.0 ? [] : array_map(static fn(float $one): float => $one / $sum, $brought);
        arsort($shares);

        return array_filter($shares, static fn(float $share): bool => $share >= self::LEAST);
    }
}
