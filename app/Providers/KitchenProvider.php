<?php

declare(strict_types=1);

namespace App\Providers;

use App\Kitchen\Pantry;
use App\Kitchen\SauceParts;
use App\Kitchen\Tongue;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\ServiceProvider;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\NameSearch;

/** Wires the core into the application. */
final class KitchenProvider extends ServiceProvider
{
    public function register(): void
    {
        [$facts, $names] = [storage_path('framework/facts.php'), storage_path('framework/names.php')];
        $change = FactsFile::lastChange();
        if (is_file($facts) && filemtime($facts) >= $change) {
            FactsFile::useCompiled($facts);
        }
        if (is_file($names) && filemtime($names) >= max($change, NameSearch::lastChange())) {
            NameSearch::useCompiled($names);
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
