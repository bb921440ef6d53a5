<?php

declare(strict_types=1);

namespace Vinculum\Cooking;

/** One step of a method as understood: what kind of step, how long, how hot, how far. */
final readonly class MethodStep
{
    /** What a lid leaves of the water that would leave an open pan (handbook, "Cooking"). */
    private const UNDER_A_LID = 0.1;

    /**
     * @param 'reduce'|'cook'|'rest'|'do'  $kind    water leaves; at the hob; waits; by hand
     * @param array{float, float}|null     $minutes from and to; null where no time is named
     * @param Heat|null                    $heat    of a step from which water leaves
     * @param float|null                   $left    the share of the volume in the pan that is left at the end, where it says so
     */
    public function __construct(public string $text, public string $kind, public ?array $minutes, public ?Heat $heat, public bool $isCovered, public ?float $left) {}

    /**
     * Grams of water that leave an open surface in this step, from the shortest time at the gentlest to the longest at
     * the fiercest.
     *
     * @return array{value: float, low: float, high: float}|null null where it names no time, or none leaves
     */
    public function evaporates(float $squareMetres): ?array
    {
        if ($this->heat === null || $this->minutes === null) {
            return null;
        }
        [$from, $to] = $this->minutes;
        $share = $this->isCovered ? self::UNDER_A_LID : 1.0;
        $heat = $this->heat;
        $grams = static fn(float $minutes, float $times): float => $share * $times * $heat->grams($minutes, $squareMetres);

        return ['value' => $grams(($from + $to) / 2.0, 1.0), 'low' => $grams($from, 1.0 - Heat::UNCERTAIN), 'high' => $grams($to, 1.0 + Heat::UNCERTAIN)];
    }
}
