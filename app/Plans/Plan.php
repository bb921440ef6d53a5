<?php

declare(strict_types=1);

namespace App\Plans;

use Illuminate\Database\Eloquent\Model;
use Vinculum\Planning\PlanFault;

/**
 * Sauces to be ready on a day.
 *
 * @property int $id
 * @property string $title
 * @property string $ready local day and time, as "2026-11-28 18:00"
 * @property string $zone of that clock
 * @property int $rings of the hob
 * @property list<array{sauce: int, size: string}> $items
 */
final class Plan extends Model
{
    protected $fillable = ['title', 'ready', 'zone', 'rings', 'items'];

    /**
     * The moment it is to be ready at.
     *
     * @throws PlanFault where its day or its zone is none
     */
    public function readyAt(): \DateTimeImmutable
    {
        try {
            return new \DateTimeImmutable($this->ready, new \DateTimeZone($this->zone));
        } catch (\Exception) {
            throw PlanFault::noDay("{$this->ready} {$this->zone}");
        }
    }

    /** Seconds from a moment until it is to be ready; null where that is over, or no day. */
    public function secondsLeft(\DateTimeInterface $now): ?int
    {
        try {
            $left = $this->readyAt()->getTimestamp() - $now->getTimestamp();
        } catch (PlanFault) {
            return null;
        }

        return $left > 0 ? $left : null;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['rings' => 'integer', 'items' => 'array'];
    }
}
