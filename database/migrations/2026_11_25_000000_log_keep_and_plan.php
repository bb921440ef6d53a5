<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration {
    public function up(): void
    {
        Schema::create('jars', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('batch_id')->constrained()->cascadeOnDelete();
            $table->string('code');
            $table->double('ml');
            $table->string('went_to')->nullable();
            $table->timestamp('finished_at')->nullable();
            $table->timestamps();
        });
        Schema::create('plans', static function (Blueprint $table): void {
            $table->id();
            $table->string('title');
            $table->string('ready');
            $table->string('zone');
            $table->unsignedInteger('rings');
            $table->json('items');
            $table->timestamps();
        });
        Schema::create('guesses', static function (Blueprint $table): void {
            $table->id();
            $table->string('axis');
            $table->double('level');
            $table->boolean('right');
            $table->timestamp('created_at')->nullable();
            $table->index('axis');
        });
    }

    public function down(): void
    {
        foreach (['guesses', 'plans', 'jars'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
