<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What somebody told stays beside the sauce that was written down from it. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('sauces', static function (Blueprint $table): void {
            $table->text('told')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropColumns('sauces', ['told']);
    }
};
