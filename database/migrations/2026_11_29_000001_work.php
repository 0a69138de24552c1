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
        Schema::table('builds', fn (Blueprint $table) => $table->json('work')->nullable());
        Schema::table('build_ticks', function (Blueprint $table): void {
            $table->json('done_with')->nullable();
            $table->json('was_read')->nullable();
        });
        Schema::create('step_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('build_id')->constrained()->cascadeOnDelete();
            $table->string('key', 160)->collation('utf8mb4_nopad_bin');
            $table->json('document');
            $table->unique(['build_id', 'key']);
        });
        Schema::create('step_photos', function (Blueprint $table): void {
            $table->foreignId('event_id')->primary()->constrained('step_events')->cascadeOnDelete();
            $table->binary('jpeg');
        });
        DB::statement('alter table step_photos modify jpeg mediumblob not null');
    }

    public function down(): void
    {
        Schema::dropIfExists('step_photos');
        Schema::dropIfExists('step_events');
        Schema::table('build_ticks', fn (Blueprint $table) => $table->dropColumn(['done_with', 'was_read']));
        Schema::table('builds', fn (Blueprint $table) => $table->dropColumn('work'));
    }
};
