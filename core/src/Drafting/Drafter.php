<?php

declare(strict_types=1);

namespace Vinculum\Drafting;

use Vinculum\Correction\Design;
use Vinculum\Correction\Designer;
use Vinculum\Ingredient\Ingredient;
use Vinculum\Kitchen\Sauce;

/** Drafts a sauce of a family: on an empty bench as cooks of the family have it, else around what is locked. */
final readonly class Drafter
{
    public function __construct(private Sauce $sauce) {}

    /**
     * @param string|null $base ingredient key of what is to carry it
     * @param bool $mayGrow whether the batch may grow to make room
     * @param list<Ingredient>|null $atHand everything that there is; null where a cook will go shopping
     *
     * @throws \InvalidArgumentException where it is of no family, or as Designer::draft()
     */
    public function draft(
        float $batchGrams,
        ?string $base = null,
        bool $mayGrow = false,
        ?array $atHand = null,
    ): Design {
        $designer = new Designer($this->sauce);
        if ($this->sauce->family !== null && $this->sauce->formula->lines === [] && $base === null
            && $this->sauce->aim->own === null) {
            return TypicalDraft::of(
                $this->sauce->family,
                $batchGrams,
                $this->sauce->catalogue(),
                $this->sauce->measures(),
                $this->sauce->kitchen->hasScale,
                $atHand,
            );
        }

        return $mayGrow ? $designer->withRoom($batchGrams) : $designer->draft($batchGrams, $base);
    }
}
