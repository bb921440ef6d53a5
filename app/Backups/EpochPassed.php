<?php

declare(strict_types=1);

namespace App\Backups;

use App\Recipes\Sauce;
use App\Recipes\SauceResource;
use Illuminate\Contracts\Debug\ShouldntReport;
use Illuminate\Http\JsonResponse;

/** A page writes what it knew of the kitchen before a copy was put back: numbers in it may mean other things now. */
final class EpochPassed extends \RuntimeException implements ShouldntReport
{
    /**
     * @param int $epoch of the kitchen as it is now
     * @param Sauce|null $current the sauce of that number as it is now, where one was to be written
     */
    public function __construct(public readonly int $epoch, public readonly ?Sauce $current)
    {
        parent::__construct(
            'A copy of the kitchen was put back since this page was opened, so this was not stored over what is there now. What you wrote is still here: keep it as a copy, or open the page anew.',
        );
    }

    public function render(): JsonResponse
    {
        return new JsonResponse([
            'message' => $this->getMessage(),
            'epoch' => $this->epoch,
            'current' => $this->current === null ? null : (new SauceResource($this->current))->resolve(),
        ], 409);
    }
}
