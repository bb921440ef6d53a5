<?php

declare(strict_types=1);

namespace App\Hob;

use Illuminate\Database\Eloquent\Model;
use Vinculum\Cooking\WeighedCook;

/**
 * What a cook that was weighed taught of its pan and hob.
 *
 * @property int $batch_id
 * @property float $square_metres
 * @property string $heat
 * @property float $minutes
 * @property float $grams_lost
 */
final class StoredWeighedCook extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'weighed_cooks';

    protected $primaryKey = 'batch_id';

    protected $fillable = ['batch_id', 'square_metres', 'heat', 'minutes', 'grams_lost'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['square_metres' => 'float', 'minutes' => 'float', 'grams_lost' => 'float'];
    }

    public function cook(): WeighedCook
    {
        return new WeighedCook($this->square_metres, $this->heat, $this->minutes, $this->grams_lost);
    }
}
