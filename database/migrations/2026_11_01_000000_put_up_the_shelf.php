<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('sauces', static function (Blueprint $table): void {
            $table->id();
            $table->string('title');
            $table->string('style')->nullable();
            $table->string('measures');
            $table->string('yield')->nullable();
            $table->unsignedInteger('revision');
            $table->json('standing');
            $table->timestamps();
            $table->softDeletes();
            $table->index(['deleted_at', 'updated_at']);
        });
        Schema::create('lines', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sauce_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('position');
            $table->text('text');
            $table->unique(['sauce_id', 'position']);
        });
        Schema::create('versions', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('sauce_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->unsignedInteger('revision');
            $table->string('title');
            $table->string('style')->nullable();
            $table->string('measures');
            $table->string('yield')->nullable();
            $table->json('lines');
            $table->timestamp('created_at')->nullable();
            $table->unique(['sauce_id', 'number']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('versions');
        Schema::dropIfExists('lines');
        Schema::dropIfExists('sauces');
    }
};
