<?php

declare(strict_types=1);

namespace Vinculum\Recipe\Resolution;

use Vinculum\Ingredient\Ingredient;
use Vinculum\Recipe\Parser\Item;
use Vinculum\Recipe\Parser\WrittenAmount;

/** The ingredient that an item was taken for, and how surely. */
final readonly class Naming
{
    /**
     * @param Item $item under the name that was understood
     * @param Ingredient|null $ingredient null where none was found
     * @param list<string> $others keys that it might also be, the likeliest first; the nearest where none was found
     */
    public function __construct(
        public Item $item,
        public ?Ingredient $ingredient,
        public array $others,
        public ?Sureness $sure = null,
    ) {}

    public function measuring(WrittenAmount $measured): self
    {
        return new self($this->item->measuring($measured), $this->ingredient, $this->others, $this->sure);
    }

    /** Whether a percentage is said that can be no strength of such a thing. */
    public function saysAShare(): bool
    {
        $percent = $this->item->percent ?? 100.0;

        return $percent < 100.0 && $this->ingredient !== null && Potency::of($this->ingredient, $percent) === null;
    }
}
