<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Chemistry\Component;
use Vinculum\Chemistry\Mixture;
use Vinculum\Quantity\KitchenNumber;

/**
 * What a formula came to: everything mixed, less what a measured yield or its stages say has left, and what was added
 * after.
 */
final readonly class FinishedBatch
{
    private const MORE_THAN_WENT_IN = 0.02;

    /**
     * @param MeasuredYield|null $yield the yield that was counted with; null when there is none
     * @param bool $isCooked whether the figures are of the finished sauce and not of everything mixed
     * @param list<string> $notes
     */
    private function __construct(
        public Mixture $mixture,
        public ?MeasuredYield $yield,
        public bool $isCooked,
        public array $notes,
    ) {}

    public static function of(Formula $formula): self
    {
        [$mixture, $yield, $notes] = self::cooked($formula, $formula->mixed());
        foreach ($formula->doses as $dose) {
            $mixture = $mixture->plus($dose->mixture());
        }

        return new self($mixture, $yield, $yield !== null || $formula->losses() !== null, $notes);
    }

    /** @return array{Mixture, MeasuredYield|null, list<string>} */
    private static function cooked(Formula $formula, Mixture $mixed): array
    {
        if ($formula->yieldText === null && $formula->yield === null) {
            return [
                $formula->losses() === null ? $mixed : $mixed->minus($formula->losses()->left),
                null,
                [],
            ];
        }
        if ($formula->yield === null) {
            return [
                $mixed,
                null,
                [
                    "The yield \"{$formula->yieldText}\" names no weight or volume, so the figures are of everything mixed. Write it as \"500 ml\" or \"1.2 kg\".",
                ],
            ];
        }
        $lost = $formula->yield->waterLostFrom($mixed);
        $water = $mixed->get(Component::Water);
        if ($mixed->grams() <= 0.0) {
            return [$mixed, null, []];
        }
        if ($lost < -self::MORE_THAN_WENT_IN * $mixed->grams()) {
            return [
                $mixed,
                null,
                [
                    sprintf(
                        'The yield is more than went in (%s mixed): is a line missing? The figures are of everything mixed.',
                        KitchenNumber::grams($mixed->grams()),
                    ),
                ],
            ];
        }
        if ($lost >= $water) {
            return [
                $mixed,
                null,
                [
                    sprintf(
                        'The yield would need %s of water to leave and there are only %s: check the yield or the lines. The figures are of everything mixed.',
                        KitchenNumber::grams($lost),
                        KitchenNumber::grams($water),
                    ),
                ],
            ];
        }
        $lost = max(0.0, $lost);

        return [
            $mixed->with(Component::Water, $water - $lost),
            $formula->yield,
            $lost < 0.5
                ? []
                : [sprintf('%s of water boiled off between mixing and the yield.', KitchenNumber::grams($lost))],
        ];
    }
}
