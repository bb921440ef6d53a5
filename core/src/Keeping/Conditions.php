<?php

declare(strict_types=1);

namespace Vinculum\Keeping;

use Vinculum\Balance\Balance;
use Vinculum\Facts\Row;
use Vinculum\Mixture\Component;
use Vinculum\Reading\ResolvedLine;

/** Whether a rule's conditions hold for a sauce. The fields are explained at the head of cautions.ini and keeping.ini. */
final readonly class Conditions
{
    /** Where nothing acid is known a sauce counts as neutral. */
    private const NEUTRAL = 7.0;

    private function __construct(private Balance $balance) {}

    public static function of(Balance $balance): self
    {
        return new self($balance);
    }

    /** Whether every condition that the row names holds. */
    public function hold(Row $row): bool
    {
        $mixture = $this->balance->mixture;
        $tests = [
            'any' => fn(): bool => $this->holdsAny($row->list('any')),
            'any_too' => fn(): bool => $this->holdsAny($row->list('any_too')),
            'unknown' => fn(): bool => array_filter($this->balance->formula->ingredientLines(), static fn(ResolvedLine $line): bool => $line->ingredient === null) !== [],
            'allergens' => fn(): bool => $this->balance->allergens() !== [],
            'fat_over' => static fn(): bool => $mixture->percent(Component::Fat) > $row->number('fat_over'),
            'ethanol_over' => static fn(): bool => $mixture->percent(Component::Ethanol) > $row->number('ethanol_over'),
            'sugar_over' => static fn(): bool => $mixture->percentOf(Component::sugars()) > $row->number('sugar_over'),
            'heat_over' => fn(): bool => $this->balance->taste->heat > $row->number('heat_over'),
            'ph_high_over' => fn(): bool => $this->ph() > $row->number('ph_high_over'),
            'ph_over' => fn(): bool => $this->ph() > $row->number('ph_over'),
            'ph_at_most' => fn(): bool => $this->ph() <= $row->number('ph_at_most'),
            'aw_over' => fn(): bool => $this->waterActivity() > $row->number('aw_over'),
            'aw_at_most' => fn(): bool => $this->waterActivity() <= $row->number('aw_at_most'),
            'cooked' => fn(): bool => $this->balance->treatment->isCooked === ($row->text('cooked') === 'yes'),
            'unless_measured_ph_at_most' => fn(): bool => ($this->balance->treatment->ph() ?? self::NEUTRAL) > $row->number('unless_measured_ph_at_most'),
        ];
        foreach ($tests as $field => $test) {
            if ($row->has($field) && !$test()) {
                return false;
            }
        }

        return true;
    }

    /** The pH that limits are held against: measured, or the upper end of the estimate. */
    private function ph(): float
    {
        return $this->balance->treatment->ph() ?? $this->balance->ph->high ?? self::NEUTRAL;
    }

    private function waterActivity(): float
    {
        return $this->balance->waterActivity->high ?? 1.0;
    }

    /** @param list<string> $keys */
    private function holdsAny(array $keys): bool
    {
        $inIt = array_map(static fn(ResolvedLine $line): string => $line->ingredient?->kind() ?? '', $this->balance->formula->ingredientLines());

        return array_intersect($keys, $inIt) !== [];
    }
}
