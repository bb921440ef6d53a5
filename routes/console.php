<?php

declare(strict_types=1);

use App\Console\DemoKitchen;
use Illuminate\Support\Facades\Artisan;

Artisan::command('kitchen:demo', function (DemoKitchen $demo): void {
    $this->info(sprintf('%d demo sauces on the shelf.', $demo->load()));
})->purpose('Put the demo sauces on an empty shelf');
