<?php

declare(strict_types=1);

namespace Vinculum\Quantity;

/** An amount as a cook measures it out: so many of a spoon, so many of the thing itself, or grams on a scale. */
final readonly class Measure
{
    /**
     * @param 'whole'|'tbsp'|'tsp'|'g'|'said' $tool
     * @param string|null $spoons in words, where it takes two different ones, or no tool measures it
     */
    private function __construct(
        public float $count,
        public string $tool,
        public float $grams,
        private ?string $spoons = null,
    ) {}

    /** So many of the thing itself. */
    public static function counted(float $count, float $grams): self
    {
        return new self($count, 'whole', $grams);
    }

    /**
     * @param 'tbsp'|'tsp' $spoon
     * @param string|null $words "1 tbsp + 1 tsp", where it takes two different ones
     */
    public static function spooned(float $count, string $spoon, float $grams, ?string $words = null): self
    {
        return new self($count, $spoon, $grams, $words);
    }

    public static function weighed(float $grams): self
    {
        return new self($grams, 'g', $grams);
    }

    /** Of what no amount is said of: "about as much". */
    public static function said(string $words): self
    {
        return new self(0.0, 'said', 0.0, $words);
    }

    public function isCounted(): bool
    {
        return $this->tool === 'whole';
    }

    /** As it stands by itself: "2½ whole", "1½ tbsp", "120 g". */
    public function words(): string
    {
        return $this->isCounted() ? "{$this->number()} whole" : $this->beforeItsName();
    }

    /** As a line of a recipe: "2½ eggs", "1½ tbsp lime juice". */
    public function of(string $name): string
    {
        return ($this->tool === 'said' ? '' : "{$this->beforeItsName()} ") . mb_strtolower($name);
    }

    /** Where the name of the thing follows: "2½", "1½ tbsp", "120 g". */
    public function beforeItsName(): string
    {
        return match ($this->tool) {
            'whole' => $this->number(),
            'g' => KitchenNumber::grams($this->grams),
            default => $this->spoons ?? "{$this->number()} {$this->tool}",
        };
    }

    private function number(): string
    {
        return KitchenNumber::mixed($this->count);
    }
}
