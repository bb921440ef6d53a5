<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    private const TABLES = ['sauces', 'versions', 'batches'];

    public function up(): void
    {
        foreach (self::TABLES as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->unsignedInteger('servings')->nullable();
                $table->json('set_aside')->nullable();
                $table->json('let_go')->nullable();
            });
        }
        // what a sauce is as part of another is worked out from its recipe
        Schema::table('sauces', static function (Blueprint $table): void {
            $table->dropColumn('ingredient');
        });
    }

    public function down(): void
    {
        Schema::table('sauces', static function (Blueprint $table): void {
            $table->json('ingredient')->nullable();
        });
        foreach (self::TABLES as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->dropColumn(['servings', 'set_aside', 'let_go']);
            });
        }
    }
};
