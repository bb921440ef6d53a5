<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** One step of a method as understood: what kind of step, how long, how hot, how far. */
final readonly class MethodStep
{
    /**
     * @param 'do'|'heat'|'reduce'|'rest'|'cool'|'strain'|'blend' $kind by hand; at the hob or in the oven; water leaves; waits
     * @param array{float, float}|null $minutes from and to; null where no time is named
     * @param Heat|null $heat of a step from which water leaves
     * @param float|null $left the share of the volume in the pan that is left at the end, where it says so
     * @param float|null $celsius where it names a temperature
     * @param string|null $until the end point in its own words
     * @param bool $isSieved solids stay behind in a sieve
     * @param Pan|null $pan where it names one of its own
     * @param int $line of the method it was read from, from 0; −1 for a stage's own heading
     * @param float|null $downTo millilitres that are left at the end, where it says so
     * @param ThickEnd|null $end how thick it is at the end, where it says so
     * @param list<string> $with what goes in here by its tag
     */
    public function __construct(
        public string $text,
        public string $kind,
        public ?array $minutes,
        public ?Heat $heat,
        public Lid $lid,
        public ?float $left,
        public ?float $celsius = null,
        public ?string $until = null,
        public bool $isSieved = false,
        public ?Pan $pan = null,
        public int $line = -1,
        public ?float $downTo = null,
        public ?ThickEnd $end = null,
        public array $with = [],
    ) {}

    public function isAtTheHob(): bool
    {
        return $this->kind === 'reduce' || $this->kind === 'heat';
    }

    /**
     * Grams of water that leave an open surface in this step, from the shortest time at the gentlest to the longest at
     * the fiercest.
     *
     * @return array{value: float, low: float, high: float}|null null where it names no time, or none leaves
     */
    public function evaporates(float $squareMetres, ?Heat $asItIsHere = null): ?array
    {
        $heat = $asItIsHere ?? $this->heat;
        if ($heat === null || $this->minutes === null) {
            return null;
        }
        [$from, $to] = $this->minutes;
        $share = $this->openShare();
        $grams = static fn(float $minutes, float $times): float => min(
            $share * $times * $heat->grams($minutes, $squareMetres),
            $minutes * Heat::mostGramsPerMinute(),
        );

        return [
            'value' => $grams(($from + $to) / 2.0, 1.0),
            'low' => $grams($from, 1.0 - $heat->uncertain),
            'high' => $grams($to, 1.0 + $heat->uncertain),
        ];
    }

    /** The share of the water leaving an open pan that leaves this one. */
    public function openShare(): float
    {
        return $this->lid->openShare();
    }

    /** Whether nobody needs to stand by: it rests or cools. */
    public function waits(): bool
    {
        return $this->kind === 'rest' || $this->kind === 'cool';
    }
}
