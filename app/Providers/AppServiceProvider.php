<?php

declare(strict_types=1);

namespace App\Providers;

use App\Auth\Passphrase;
use App\Batches\BatchService;
use App\Batches\CookSessionService;
use App\Database\ImmutableConnector;
use App\Database\KitchenConnection;
use App\Hob\HomeHob;
use App\Imports\Uploads;
use App\Instruments\InstrumentLink;
use App\Kitchen\Tools;
use App\Palate\PalateService;
use App\Pantry\Pantry;
use App\Recipes\HomeKitchen;
use App\Recipes\SauceParts;
use Illuminate\Database\Connection;
use Illuminate\Foundation\Application;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Session\SessionManager;
use Illuminate\Session\Store as Session;
use Illuminate\Support\ServiceProvider;
use Vinculum\Facts\FactsFile;
use Vinculum\Ingredient\NameSearch;

/** Wires the core into the application. */
final class AppServiceProvider extends ServiceProvider
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
        $this->app->bind(
            Passphrase::class,
            static fn(): Passphrase => new Passphrase(config()->string('door.folder') . '/passphrase'),
        );
        $this->app->bind(Uploads::class, static fn(): Uploads => new Uploads(storage_path('framework/uploads')));
        $this->app->bind(Session::class, static function (Application $app): Session {
            $session = $app->make(SessionManager::class)->driver();

            return $session instanceof Session
                ? $session
                : throw new \LogicException('The session driver is not a store.');
        });
        $this->app->bind(InstrumentLink::class, static fn(): InstrumentLink => new InstrumentLink(self::instruments()));
        Connection::resolverFor(
            'sqlite',
            static fn(
                \Closure|\PDO $pdo,
                string $database,
                string $prefix,
                array $config,
            ): KitchenConnection => new KitchenConnection($pdo, $database, $prefix, $config),
        );
        if (config('database.reads_only') === true) {
            $this->app->bind('db.connector.sqlite', ImmutableConnector::class);
        }
        $this->app->scoped(BatchService::class);
        $this->app->scoped(CookSessionService::class);
        $this->app->scoped(HomeHob::class);
        $this->app->scoped(Pantry::class);
        $this->app->scoped(Tools::class);
        $this->app->scoped(HomeKitchen::class);
        $this->app->scoped(SauceParts::class);
        $this->app->scoped(PalateService::class);
    }

    /** Where the instruments listen: as the cook names it, or where the stand-in says it does. */
    private static function instruments(): ?string
    {
        $named = getenv('VINCULUM_INSTRUMENTS');
        if (is_string($named) && preg_match('/^[\w.-]+:\d{1,5}$/', $named) === 1) {
            return $named;
        }
        $said = is_string($named) && is_file($named) ? json_decode((string) file_get_contents($named), true) : null;

        return is_array($said) && is_string($said['address'] ?? null) ? $said['address'] : null;
    }

    public function boot(): void
    {
        JsonResource::withoutWrapping();
    }
}
