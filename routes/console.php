<?php

declare(strict_types=1);

use App\Console\DemoKitchen;
use App\Description\ApiDescription;
use App\Plain\Copies\BackupFault;
use App\Plain\Copies\Backups;
use App\Plain\Door\Passphrase;
use App\Server\ReadingRoutes;
use Illuminate\Routing\Router;
use Illuminate\Support\Facades\Artisan;
use Symfony\Component\Console\Output\OutputInterface;

// the same as ./vinculum backup, restore and passphrase, for whoever works with Laravel

Artisan::command('kitchen:demo', function (DemoKitchen $demo): void {
    $this->info(sprintf('%d demo sauces on the shelf.', $demo->load()));
})->purpose('Put the demo sauces on an empty shelf');

Artisan::command('kitchen:backup {file?} {--replace}', function (?string $file = null): int {
    try {
        $copy = Backups::ofThisKitchen()->make($file, 'by-hand', new DateTimeImmutable(), (bool) $this->option('replace'));
    } catch (BackupFault $fault) {
        $this->error($fault->getMessage());

        return 2;
    }
    $this->info("The kitchen is copied to {$copy}");

    return 0;
})->purpose('Make a consistent copy of the kitchen, while it runs');

Artisan::command('kitchen:restore {file}', function (string $file): int {
    try {
        $before = Backups::ofThisKitchen()->putBack($file, new DateTimeImmutable());
    } catch (BackupFault $fault) {
        $this->error($fault->getMessage());

        return 2;
    }
    $this->info("The kitchen is as it was in {$file}" . ($before === null ? '' : "; what was there before: {$before}"));

    return 0;
})->purpose('Put a copy of the kitchen back, after it was checked');

Artisan::command('kitchen:passphrase', function (): void {
    Passphrase::ofThisKitchen()->set((string) $this->secret('A passphrase for the home network, 12 letters or more'));
    $this->info('The passphrase is kept, as a hash.');
})->purpose('Set the passphrase of the home network');

Artisan::command('api:describe', function (ApiDescription $description): void {
    $this->output->writeln(
        json_encode(
            $description->made(),
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        ),
        OutputInterface::OUTPUT_RAW,
    );
})->purpose('Write the description of the HTTP API (OpenAPI 3.1), made of its routes, rules and reports');

Artisan::command('kitchen:caches', function (Router $router): void {
    ReadingRoutes::keep($router, base_path());
    foreach (['config:cache', 'event:cache', 'route:cache'] as $cache) {
        $this->callSilent($cache);
    }
})->purpose('Keep what Laravel knows beforehand, for the servers of ./vinculum start');
