<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Parts of one's own get photographs, files and a history, can be put back after they were taken out, and may stand for a second one. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('parts', function (Blueprint $table): void {
            $table->timestamp('removed_at')->nullable()->index();
            // Keys of parts that turned out to be this one: builds still have copies under them.
            $table->json('also_keys')->nullable();
        });
        Schema::create('part_files', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('part_id')->constrained('parts')->cascadeOnDelete();
            // The part that it belonged to before two were merged.
            $table->unsignedBigInteger('came_from')->nullable();
            $table->string('name', 120);
            $table->boolean('is_photo');
            $table->unsignedInteger('bytes');
            $table->binary('content');
            $table->timestamps();
            $table->timestamp('removed_at')->nullable();
        });
        DB::statement('alter table part_files modify content mediumblob not null');
        Schema::create('part_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('part_id')->constrained('parts')->cascadeOnDelete();
            $table->string('how', 20);
            $table->string('note', 200);
            $table->unsignedBigInteger('merged_id')->nullable();
            $table->json('changes');
            $table->json('before');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('part_changes');
        Schema::dropIfExists('part_files');
        Schema::table('parts', static fn (Blueprint $table) => $table->dropColumn(['removed_at', 'also_keys']));
    }
};
