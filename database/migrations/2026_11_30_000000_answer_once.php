<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What was asked under a key is done once, however often it is sent: the answer is kept beside what it changed. A move
 * that took something in is known by its key as well.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('answers', static function (Blueprint $table): void {
            $table->string('key')->primary();
            $table->string('asked');
            $table->unsignedInteger('status')->default(0);
            $table->text('body')->default('');
            $table->timestamp('created_at');
        });
        Schema::table('imports', static function (Blueprint $table): void {
            $table->string('key')->nullable()->unique();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('answers');
        Schema::table('imports', static function (Blueprint $table): void {
            $table->dropUnique(['key']);
            $table->dropColumn('key');
        });
    }
};
