<?php

declare(strict_types=1);

namespace Bench;

use App\Server\CaddyConfig;
use App\Server\FpmConfig;
use App\Server\PhpSettings;
use App\Server\ServerPlan;
use Symfony\Component\Process\Process;

/** A Laravel application of one route that answers {}, as its makers cache it, on the servers of the kitchen. */
final class Skeleton
{
    private const FILES = [
        'routes/api.php' => "<?php Illuminate\\Support\\Facades\\Route::get('/nothing', [Nothing::class, 'answer']);",
        'bootstrap/Nothing.php' => '<?php final class Nothing { public function answer(): Illuminate\Http\JsonResponse { return new Illuminate\Http\JsonResponse(new stdClass()); } }',
        'bootstrap/app.php' => "<?php require_once __DIR__ . '/Nothing.php'; return Illuminate\\Foundation\\Application::configure(basePath: dirname(__DIR__))->withRouting(api: __DIR__ . '/../routes/api.php')->withMiddleware(static fn() => null)->withExceptions(static fn() => null)->create();",
        'public/index.php' => "<?php require '{root}/vendor/autoload.php'; (require __DIR__ . '/../bootstrap/app.php')->handleRequest(Illuminate\\Http\\Request::capture());",
        'artisan' => "<?php require '{root}/vendor/autoload.php'; exit((require __DIR__ . '/bootstrap/app.php')->handleCommand(new Symfony\\Component\\Console\\Input\\ArgvInput()));",
        'composer.json' => '{"require": {"laravel/framework": "*"}}',
    ];

    private readonly string $folder;

    /** @var list<Process> */
    private array $processes = [];

    private readonly \CurlHandle $curl;

    public function __construct(private readonly int $port)
    {
        $this->folder = sys_get_temp_dir() . '/vinculum-skeleton-' . getmypid();
        $this->curl = curl_init();
        $plan = new ServerPlan($this->folder, $port, [], "{$this->folder}/door", 'skeleton');
        foreach (['bootstrap/cache', 'routes', 'public', 'config', 'storage/framework/views', 'storage/logs', "storage/servers/run-{$port}"] as $made) {
            mkdir("{$this->folder}/{$made}", recursive: true);
        }
        foreach (self::FILES as $name => $text) {
            file_put_contents("{$this->folder}/{$name}", strtr($text, ['{root}' => Kitchen::root()]));
        }
        foreach (['caddy', 'php-fpm'] as $program) {
            symlink(Kitchen::root() . "/storage/servers/{$program}", $plan->program($program));
        }
        foreach (['config:cache', 'event:cache', 'route:cache'] as $cache) {
            (new Process([PHP_BINARY, 'artisan', $cache], $this->folder))->mustRun();
        }
        $fpm = new FpmConfig($plan, 8);
        file_put_contents($fpm->file(), $fpm->ini());
        $caddy = "{$plan->folder()}/caddy.json";
        file_put_contents($caddy, (new CaddyConfig($plan))->json());
        foreach ([$fpm->command(PhpSettings::serving()), [$plan->program('caddy'), 'run', '--config', $caddy]] as $command) {
            $process = new Process($command, $this->folder, PhpSettings::environment(), timeout: null);
            $process->disableOutput();
            $process->start();
            $this->processes[] = $process;
        }
        for ($wait = 0; $wait < 200 && is_nan($this->ask()); ++$wait) {
            usleep(50_000);
        }
    }

    /** Milliseconds of one request; NAN where it did not answer. */
    public function ask(): float
    {
        [$status, , $took] = Kitchen::askAt($this->curl, $this->port, 'GET', '/api/nothing');

        return $status === 200 ? $took : NAN;
    }

    public function close(): void
    {
        foreach ($this->processes as $process) {
            $process->stop(2.0);
        }
        (new Process(['rm', '-rf', $this->folder]))->run();
    }
}
