<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

use Vinculum\Facts\Facts;
use Vinculum\Quantity\Amount;

/**
 * What a kitchen's own hob does in its own pans, learned from cooks whose water loss was weighed: for each pan and heat
 * the flux k that least squares gives for grams = k · (open surface · hours).
 */
final readonly class Hob
{
    /** @param list<WeighedCook> $cooks */
    private function __construct(private array $cooks) {}

    /** A hob nobody has measured. */
    public static function unknown(): self
    {
        return new self([]);
    }

    public static function from(WeighedCook ...$cooks): self
    {
        return new self(array_values($cooks));
    }

    /** The heat as this hob gives it in this pan; as published where no cook with both was weighed. */
    public function heat(Heat $named, ?Pan $pan): Heat
    {
        $surface = $pan?->squareMetres;
        $like = $surface === null
            ? []
            : array_values(
                array_filter(
                    $this->cooks,
                    static fn(WeighedCook $cook): bool => $cook->heat === $named->key && $cook->isInPanOf($surface),
                ),
            );
        [$products, $squares] = [0.0, 0.0];
        foreach ($like as $cook) {
            $products += $cook->openHours() * $cook->kilogramsLost();
            $squares += $cook->openHours() ** 2;
        }
        if ($squares <= 0.0 || $products <= 0.0) {
            return $named;
        }
        $flux = $products / $squares;

        return $named->calibrated($flux, self::uncertainty($like, $flux, $squares), count($like));
    }

    /**
     * Half of the 90 % interval of the next cook, as a share: from the residuals, and never less than weighing a sauce
     * allows.
     *
     * @param list<WeighedCook> $cooks
     */
    private static function uncertainty(array $cooks, float $flux, float $squares): float
    {
        $facts = Facts::of(CookingFacts::class)->calibration;
        if (count($cooks) === 1) {
            return $facts->once;
        }
        $residuals = array_sum(
            array_map(
                static fn(WeighedCook $cook): float => ($cook->kilogramsLost() - $flux * $cook->openHours()) ** 2,
                $cooks,
            ),
        );
        $deviation = sqrt($residuals / (count($cooks) - 1) / ($squares / count($cooks))) / $flux;

        return min(Heat::UNCERTAIN, max($facts->least, Amount::NINETY_PERCENT * $deviation));
    }
}
