<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('sauces', static function (Blueprint $table): void {
            $table->json('ingredient')->nullable();
            $table->decimal('part_ml', 8, 2)->nullable();
            $table->foreignId('forked_from')->nullable();
        });
        Schema::table('versions', static function (Blueprint $table): void {
            $table->decimal('part_ml', 8, 2)->nullable();
            $table->text('says')->nullable();
            $table->json('standing')->nullable();
        });
        Schema::create('sauce_parts', static function (Blueprint $table): void {
            $table->foreignId('sauce_id')->constrained()->cascadeOnDelete();
            $table->foreignId('part_id')->constrained('sauces')->cascadeOnDelete();
            $table->primary(['sauce_id', 'part_id']);
            $table->index('part_id');
        });
        Schema::create('batches', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sauce_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('version');
            $table->string('title');
            $table->string('style')->nullable();
            $table->string('measures');
            $table->string('yield')->nullable();
            $table->decimal('part_ml', 8, 2)->nullable();
            $table->json('lines');
            $table->decimal('pan_grams', 10, 2)->nullable();
            $table->timestamp('closed_at')->nullable();
            $table->timestamps();
            $table->index(['sauce_id', 'created_at']);
        });
        Schema::create('doses', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->json('additions');
            $table->string('why');
            $table->timestamp('created_at')->nullable();
        });
        Schema::create('tastings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sauce_id')->constrained()->cascadeOnDelete();
            $table->foreignId('batch_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('style')->nullable();
            $table->timestamp('tasted_at');
            $table->string('temperature')->nullable();
            $table->string('food')->nullable();
            $table->text('words')->nullable();
            $table->json('said');
            $table->json('scores');
            $table->json('steps');
            $table->json('balance');
            $table->timestamp('created_at')->nullable();
            $table->index(['style', 'tasted_at']);
            $table->index(['sauce_id', 'tasted_at']);
        });
        Schema::create('settings', static function (Blueprint $table): void {
            $table->string('name')->primary();
            $table->text('value');
        });
    }

    public function down(): void
    {
        foreach (['settings', 'tastings', 'doses', 'batches', 'sauce_parts'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('versions', static function (Blueprint $table): void {
            $table->dropColumn(['part_ml', 'says', 'standing']);
        });
        Schema::table('sauces', static function (Blueprint $table): void {
            $table->dropColumn(['ingredient', 'part_ml', 'forked_from']);
        });
    }
};
