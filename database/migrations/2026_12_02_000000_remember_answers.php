<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Which ways were offered for a taste, and which was taken, stay beside what was said of it. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('tastings', static function (Blueprint $table): void {
            $table->json('answer')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropColumns('tastings', ['answer']);
    }
};
