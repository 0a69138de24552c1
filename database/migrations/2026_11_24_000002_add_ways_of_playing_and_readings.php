<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('builds', function (Blueprint $table): void {
            $table->json('profiles')->nullable();
        });
        Schema::create('build_readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('build_id')->constrained()->cascadeOnDelete();
            $table->foreignId('line_id')->constrained('build_lines')->cascadeOnDelete();
            $table->string('key', 80);
            $table->json('document');
            $table->timestamp('removed_at')->nullable();
            $table->unique(['build_id', 'key']);
        });
        // Photographs stand apart, so that no edit has to carry them.
        Schema::create('reading_photos', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('reading_id')->unique()->constrained('build_readings')->cascadeOnDelete();
            $table->binary('jpeg');
        });
        DB::statement('alter table reading_photos modify jpeg mediumblob not null');
    }

    public function down(): void
    {
        Schema::dropIfExists('reading_photos');
        Schema::dropIfExists('build_readings');
        Schema::table('builds', static fn (Blueprint $table) => $table->dropColumn('profiles'));
    }
};
