<?php

declare(strict_types=1);

namespace App\Providers;

use App\Kitchen\Pantry;
use App\Kitchen\SauceParts;
use App\Kitchen\Tongue;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\ServiceProvider;
use Vinculum\Facts\FactsFile;

/** Wires the core into the application. */
final class KitchenProvider extends ServiceProvider
{
    public function register(): void
    {
        $compiled = storage_path('framework/facts.php');
        if (is_file($compiled) && filemtime($compiled) >= FactsFile::lastChange()) {
            FactsFile::useCompiled($compiled);
        }
        $this->app->scoped(Pantry::class);
        $this->app->scoped(SauceParts::class);
        $this->app->scoped(Tongue::class);
    }

    public function boot(): void
    {
        JsonResource::withoutWrapping();
    }
}
