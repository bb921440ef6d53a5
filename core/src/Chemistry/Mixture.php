<?php

declare(strict_types=1);

namespace Vinculum\Chemistry;

/**
 * What is in the pot: an amount of each component. Everything a kitchen does to a sauce is linear in it.
 * Masses are grams; the units of the rest stand at Component.
 */
final readonly class Mixture
{
    /** @param array<string, float> $amounts by component, zero where absent */
    private function __construct(private array $amounts) {}

    public static function nothing(): self
    {
        return new self([]);
    }

    /**
     * @param array<string, float> $amounts by component key
     *
     * @throws \ValueError when a key is no component
     */
    public static function of(array $amounts): self
    {
        foreach ($amounts as $component => $amount) {
            Component::from($component);
            if (!is_finite($amount)) {
                throw new \ValueError("The amount of {$component} is not finite.");
            }
        }

        return new self($amounts);
    }

    public function get(Component $component): float
    {
        return $this->amounts[$component->value] ?? 0.0;
    }

    /** @return array<string, float> */
    public function amounts(): array
    {
        return $this->amounts;
    }

    public function plus(self $other): self
    {
        $sum = $this->amounts;
        foreach ($other->amounts as $component => $amount) {
            $sum[$component] = ($sum[$component] ?? 0.0) + $amount;
        }

        return new self($sum);
    }

    public function times(float $factor): self
    {
        $scaled = [];
        foreach ($this->amounts as $component => $amount) {
            $scaled[$component] = $amount * $factor;
        }

        return new self($scaled);
    }

    public function with(Component $component, float $amount): self
    {
        $amounts = $this->amounts;
        $amounts[$component->value] = $amount;

        return new self($amounts);
    }

    /** Total mass in grams. */
    public function grams(): float
    {
        $total = 0.0;
        $masses = self::masses();
        foreach ($this->amounts as $component => $amount) {
            if ($masses[$component]) {
                $total += $amount;
            }
        }

        return $total;
    }

    /**
     * The sum of some components, each times a weight: Σ wᵢ·mᵢ.
     *
     * @param array<string, float> $weights
     */
    public function weighted(array $weights): float
    {
        $sum = 0.0;
        foreach ($this->amounts as $component => $amount) {
            if (isset($weights[$component])) {
                $sum += $weights[$component] * $amount;
            }
        }

        return $sum;
    }

    /** Grams per 100 g of the whole; zero for an empty mixture. */
    public function percent(Component $component): float
    {
        $grams = $this->grams();

        return $grams > 0.0 ? 100.0 * $this->get($component) / $grams : 0.0;
    }

    /**
     * Grams of several components together per 100 g of the whole.
     *
     * @param list<string> $components
     */
    public function percentOf(array $components): float
    {
        return array_sum(array_map(fn(string $one): float => $this->percent(Component::from($one)), $components));
    }

    /** @return array<string, bool> */
    private static function masses(): array
    {
        /** @var array<string, bool>|null $masses */
        static $masses = null;
        if ($masses === null) {
            $masses = [];
            foreach (Component::cases() as $component) {
                $masses[$component->value] = $component->isMass();
            }
        }

        return $masses;
    }
}
