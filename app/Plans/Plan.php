<?php

declare(strict_types=1);

namespace App\Plans;

use Illuminate\Database\Eloquent\Model;

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

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['rings' => 'integer', 'items' => 'array'];
    }
}
