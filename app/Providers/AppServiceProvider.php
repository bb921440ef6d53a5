<?php

declare(strict_types=1);

namespace App\Providers;

use App\Batches\BatchService;
use App\Batches\CookSessionService;
use App\Database\ImmutableConnector;
use App\Database\KitchenConnection;
use App\Hob\HomeHob;
use App\Imports\Uploads;
use App\Instruments\InstrumentAddress;
use App\Instruments\InstrumentLink;
use App\Palate\PalateService;
use App\Pantry\Pantry;
use App\Pantry\Tools;
use App\Plain\Door\Passphrase;
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
        self::settings();
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
        $this->app->bind(
            InstrumentLink::class,
            static fn(): InstrumentLink => new InstrumentLink(InstrumentAddress::here()),
        );
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

    /**
     * What differs from one server to the next on the same files: the configuration may have been kept before it was
     * known.
     */
    private static function settings(): void
    {
        [$database, $door] = [getenv('VINCULUM_DATABASE'), getenv('VINCULUM_DOOR')];
        if (is_string($database) && $database !== '') {
            config(['database.connections.sqlite.database' => $database]);
        }
        if (is_string($door) && $door !== '') {
            config([
                'door.folder' => $door,
                'cache.stores.door.path' => "{$door}/tries",
                'session.files' => "{$door}/sessions",
            ]);
        }
        if (getenv('VINCULUM_READS_ONLY') === 'yes') {
            config([
                'database.reads_only' => true,
                'database.connections.sqlite.journal_mode' => null,
                'database.connections.sqlite.synchronous' => null,
            ]);
        }
        config(['door.hosts' => array_values(array_filter(explode(' ', (string) getenv('VINCULUM_LAN'))))]);
    }

    public function boot(): void
    {
        JsonResource::withoutWrapping();
    }
}
