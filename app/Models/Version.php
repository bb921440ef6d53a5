<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Vinculum\Quantity\Measures;

/**
 * A state of a sauce that is kept for good.
 *
 * @property int          $sauce_id
 * @property int          $number   from 1, by sauce
 * @property int          $revision the revision it was
 * @property string       $title
 * @property list<string> $lines
 */
final class Version extends Model
{
    public const UPDATED_AT = null;

    protected $fillable = ['number', 'revision', 'title', 'style', 'measures', 'yield', 'lines'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['measures' => Measures::class, 'lines' => 'array'];
    }
}
