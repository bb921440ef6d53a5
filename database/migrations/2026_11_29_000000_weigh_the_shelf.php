<?php

declare(strict_types=1);

use App\Recipes\SauceService;
use Illuminate\Database\Migrations\Migration;

/** What is seen of a sauce before it is opened holds its colour and its size now. */
return new class extends Migration {
    public function up(): void
    {
        app(SauceService::class)->weighAll();
    }

    public function down(): void
    {
        // what is more of it is not read
    }
};
