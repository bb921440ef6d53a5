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
     * @throws \ValueError when a key is no component, or an amount is negative or not finite
     */
    public static function of(array $amounts): self
    {
        foreach ($amounts as $component => $amount) {
            Component::from($component);
            self::check($component, $amount);
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

    /** Changed as far as there is something to change. */
    public function movedBy(MixtureChange $change): self
    {
        $moved = $this->amounts;
        foreach ($change->amounts as $component => $amount) {
            $sum = ($moved[$component] ?? 0.0) + $amount;
            $moved[$component] = $component === Component::StrongIonDifference->value ? $sum : max(0.0, $sum);
        }

        return new self($moved);
    }

    /** Without what leaves it; of no component more leaves than there is. */
    public function minus(self $leaves): self
    {
        return $this->movedBy(
            new MixtureChange(array_map(static fn(float $amount): float => -$amount, $leaves->amounts)),
        );
    }

    /** @throws \ValueError when the factor is negative or not finite */
    public function times(float $factor): self
    {
        self::check('factor', $factor);
        $scaled = [];
        foreach ($this->amounts as $component => $amount) {
            $scaled[$component] = $amount * $factor;
        }

        return new self($scaled);
    }

    /** @throws \ValueError when the amount is negative or not finite */
    public function with(Component $component, float $amount): self
    {
        self::check($component->value, $amount);
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

    /** Only the strong ion difference may be less than nothing: it is one already. */
    private static function check(string $what, float $amount): void
    {
        if (!is_finite($amount) || $amount < 0.0 && $what !== Component::StrongIonDifference->value) {
            throw new \ValueError("There cannot be {$amount} of {$what} in a mixture.");
        }
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
