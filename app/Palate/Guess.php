<?php

declare(strict_types=1);

namespace App\Palate;

use Illuminate\Database\Eloquent\Model;

/**
 * One answer of the palate trainer.
 *
 * @property string $axis
 * @property float $level steps apart
 * @property bool $right
 */
final class Guess extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['axis', 'level', 'right'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['level' => 'float', 'right' => 'boolean'];
    }
}
