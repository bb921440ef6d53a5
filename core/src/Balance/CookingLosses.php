<?php

declare(strict_types=1);

namespace Vinculum\Balance;

use Vinculum\Chemistry\Mixture;

/** What leaves a formula while it is cooked by its stages, with the independent doubts about it. */
final readonly class CookingLosses
{
    /**
     * @param Mixture $left what has gone: water, alcohol, acid, nose heat, what stayed in a sieve
     * @param list<array<string, float>> $doubts one standard deviation each, as a direction in mixture space
     */
    private function __construct(public Mixture $left, public array $doubts) {}

    public static function none(): self
    {
        return new self(Mixture::nothing(), []);
    }

    public static function of(Mixture $left, Mixture ...$doubts): self
    {
        return new self($left, array_values(array_map(static fn(Mixture $doubt): array => $doubt->amounts(), $doubts)));
    }

    public function and(self $more): self
    {
        return new self($this->left->plus($more->left), [...$this->doubts, ...$more->doubts]);
    }

    /** Cooked as far, in another amount. */
    public function times(float $factor): self
    {
        return new self(
            $this->left->times($factor),
            array_map(
                static fn(array $doubt): array => array_map(
                    static fn(float $amount): float => $amount * $factor,
                    $doubt,
                ),
                $this->doubts,
            ),
        );
    }
}
