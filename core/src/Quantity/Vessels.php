<?php

declare(strict_types=1);

namespace Vinculum\Quantity;

/**
 * A volume in the cups and spoons of a kitchen: "1⅓ cups", "2 tbsp + 2 tsp". A set has cups of ¼, ⅓, ½ and 1, tablespoons
 * of ½ and 1, teaspoons of ⅛, ¼, ½ and 1 (so ⅜ is two of them); measuring out two different ones is still less work than weighing (common
 * practice).
 */
final readonly class Vessels
{
    /** Below this many millilitres a cup is not worth taking up. */
    private const CUPS_FROM = 60.0;
    /** A cup held to the light is no nearer to its mark (common practice). */
    private const CUP_MARK = 0.06;
    /** So near is as good as meant. */
    private const CLOSE = 0.04;
    /** What each vessel is filled to, in multiples of itself, within one of it. */
    private const PARTS = [
        'cup' => [0.0, 0.25, 1 / 3, 0.5, 2 / 3, 0.75],
        'tbsp' => [0.0, 0.5],
        'tsp' => [0.0, 0.125, 0.25, 0.375, 0.5, 0.625, 0.75, 0.875],
    ];
    /** No more of them one after the other. */
    private const MOST = ['cup' => 8.0, 'tbsp' => 4.0, 'tsp' => 3.0];
    /** Every vessel that has to be taken in hand, and every odd part, is as bad as being this far off. */
    private const TROUBLE = 0.02;

    /** @param array<string, float> $millilitres of each, the largest first */
    private function __construct(private array $millilitres) {}

    public static function of(Measures $measures): self
    {
        return new self([
            'cup' => (float) Units::get('cup', $measures)->millilitres,
            'tbsp' => (float) Units::get('tablespoon', $measures)->millilitres,
            'tsp' => (float) Units::get('teaspoon', $measures)->millilitres,
        ]);
    }

    /** So much as a cook fills a cup; what is less in spoons. */
    public function roughly(float $millilitres): string
    {
        return $this->words($millilitres, $millilitres >= self::CUPS_FROM ? 'cup' : 'tbsp', self::CUP_MARK)[0];
    }

    /**
     * The plainest way to say a volume that is close to it, else the nearest.
     *
     * @param string $largest 'cup', or 'tbsp' where the cook had no cup in hand
     * @param float $close a share by which it may be off
     *
     * @return array{string, float} in words, and the millilitres they mean
     */
    public function words(float $millilitres, string $largest = 'cup', float $close = self::CLOSE): array
    {
        $best = null;
        foreach ($this->ways($millilitres, $largest) as $way) {
            $means = 0.0;
            foreach ($way as $vessel => $count) {
                $means += $count * $this->millilitres[$vessel];
            }
            $off = abs($means / $millilitres - 1.0);
            $cost = ($off <= $close ? 0.0 : 1.0 + $off) + 0.25 * $off + self::TROUBLE * self::trouble($way);
            if ($means > 0.0 && ($best === null || $cost < $best[0])) {
                $best = [$cost, $way, $means];
            }
        }

        return $best === null
            ? [KitchenNumber::mixed(0.125) . ' tsp', 0.125 * $this->millilitres['tsp']]
            : [self::said($best[1]), $best[2]];
    }

    /**
     * One vessel, or a larger one filled as far as it goes and a smaller one for the rest.
     *
     * @return iterable<array<string, float>> counts by vessel
     */
    private function ways(float $millilitres, string $largest): iterable
    {
        $vessels = array_slice(
            $this->millilitres,
            (int) array_search($largest, array_keys($this->millilitres), true),
            null,
            true,
        );
        foreach (array_keys($vessels) as $first) {
            foreach (self::counts($millilitres / $this->millilitres[$first], $first) as $count) {
                yield [$first => $count];
                $rest = $millilitres - $count * $this->millilitres[$first];
                foreach (array_keys($vessels) as $second) {
                    if ($count > 0.0 && $rest > 0.0 && $this->millilitres[$second] < $this->millilitres[$first]) {
                        foreach (self::counts($rest / $this->millilitres[$second], $second) as $more) {
                            if ($more > 0.0) {
                                yield [$first => $count, $second => $more];
                            }
                        }
                    }
                }
            }
        }
    }

    /** @return list<float> the counts just below and just above, as far as anybody goes on counting */
    private static function counts(float $wanted, string $vessel): array
    {
        if ($wanted > self::MOST[$vessel] * 1.05 && $vessel !== 'cup') {
            return [];
        }
        $whole = floor($wanted);
        $counts = array_map(static fn(float $part): float => $whole + $part, [...self::PARTS[$vessel], 1.0]);
        $below = array_filter($counts, static fn(float $count): bool => $count <= $wanted + 1e-9);
        $above = array_filter($counts, static fn(float $count): bool => $count > $wanted + 1e-9);

        return array_values(array_filter(
            [...array_slice(array_values($below), -2), ...array_slice(array_values($above), 0, 1)],
            static fn(float $count): bool => $count > 0.0,
        ));
    }

    /** @param array<string, float> $way */
    private static function trouble(array $way): float
    {
        $trouble = 0.0;
        foreach ($way as $vessel => $count) {
            $part = $count - floor($count + 1e-9);
            $isOdd = abs(8.0 * $part - round(8.0 * $part)) < 1e-6 && (int) round(8.0 * $part) % 2 === 1;
            $isMany = $vessel === 'tsp' && $count > 2.9 || $vessel === 'tbsp' && $count > 3.9;
            $trouble += 1.0 + ($part > 1e-6 ? 0.25 : 0.0) + ($isOdd ? 0.5 : 0.0) + ($isMany ? 0.5 : 0.0);
        }

        return $trouble;
    }

    /** @param array<string, float> $way */
    private static function said(array $way): string
    {
        $words = [];
        foreach ($way as $vessel => $count) {
            $words[] = KitchenNumber::mixed($count) . ' ' . ($vessel === 'cup' && $count > 1.001 ? 'cups' : $vessel);
        }

        return implode(' + ', $words);
    }
}
