<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        foreach (['sauces', 'versions', 'batches'] as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->json('method')->nullable();
                $table->string('pan')->nullable();
            });
        }
        Schema::table('batches', static function (Blueprint $table): void {
            $table->json('wish')->nullable();
        });
        Schema::create('cook_events', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->json('figures');
            $table->json('grams');
            $table->text('words')->nullable();
            $table->double('at');
            $table->string('key')->nullable();
            $table->unique(['batch_id', 'key']);
        });
        Schema::create('weighed_cooks', static function (Blueprint $table): void {
            $table->foreignId('batch_id')->primary()->constrained()->cascadeOnDelete();
            $table->double('square_metres');
            $table->string('heat');
            $table->double('minutes');
            $table->double('grams_lost');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('weighed_cooks');
        Schema::dropIfExists('cook_events');
        Schema::table('batches', static function (Blueprint $table): void {
            $table->dropColumn('wish');
        });
        foreach (['sauces', 'versions', 'batches'] as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->dropColumn(['method', 'pan']);
            });
        }
    }
};
