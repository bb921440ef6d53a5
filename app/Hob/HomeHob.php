<?php

declare(strict_types=1);

namespace App\Hob;

use Vinculum\Cooking\Hob;
use Vinculum\Cooking\WeighedCook;

/** The kitchen's own hob, as its weighed cooks show it; asked for once in a request. */
final class HomeHob
{
    /** The latest cooks say how the hob is now. */
    private const MOST_WEIGHED_COOKS = 200;

    private ?Hob $hob = null;

    public function known(): Hob
    {
        return $this->hob ??= self::weighed();
    }

    /** What a weighed cook teaches takes the place of what it taught before; null where it teaches nothing any more. */
    public function learn(int $batch, ?WeighedCook $cook): void
    {
        StoredWeighedCook::query()->whereKey($batch)->delete();
        if ($cook !== null) {
            StoredWeighedCook::query()->create([
                'batch_id' => $batch,
                'square_metres' => $cook->squareMetres,
                'heat' => $cook->heat,
                'minutes' => $cook->minutes,
                'grams_lost' => $cook->gramsLost,
            ]);
        }
        $this->hob = null;
    }

    private static function weighed(): Hob
    {
        /** @var list<StoredWeighedCook> $cooks */
        $cooks = StoredWeighedCook::query()->latest('batch_id')->limit(self::MOST_WEIGHED_COOKS)->get()->all();

        return Hob::from(...array_map(static fn(StoredWeighedCook $one): WeighedCook => $one->cook(), $cooks));
    }
}
