<?php

declare(strict_types=1);

namespace App\Recipes;

use Illuminate\Database\Eloquent\Model;

/**
 * One line of a sauce, exactly as typed.
 *
 * @property int    $sauce_id
 * @property int    $position from 0
 * @property string $text
 */
final class Line extends Model
{
    public $timestamps = false;

    protected $fillable = ['sauce_id', 'position', 'text'];
}
