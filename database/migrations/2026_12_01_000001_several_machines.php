<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where several application servers keep what each would else keep for itself; and rows that two transactions on two nodes may not both rest on. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('sessions', function (Blueprint $table): void {
            $table->string('id', 40)->collation('utf8mb4_nopad_bin')->primary();
            $table->longText('payload');
            $table->unsignedInteger('last_activity')->index();
        });
        Schema::create('cache', function (Blueprint $table): void {
            $table->string('key', 255)->collation('utf8mb4_nopad_bin')->primary();
            $table->mediumText('value');
            $table->unsignedInteger('expiration')->index();
        });
        Schema::create('cache_locks', function (Blueprint $table): void {
            $table->string('key', 255)->collation('utf8mb4_nopad_bin')->primary();
            $table->string('owner', 100);
            $table->unsignedInteger('expiration')->index();
        });
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue', 40)->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid', 36)->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
        foreach (['drawer_pieces', 'users'] as $lockable) {
            Schema::table($lockable, static fn (Blueprint $table) => $table->unsignedBigInteger('locks')->default(0));
        }
    }

    public function down(): void
    {
        foreach (['drawer_pieces', 'users'] as $lockable) {
            Schema::table($lockable, static fn (Blueprint $table) => $table->dropColumn('locks'));
        }
        foreach (['sessions', 'cache', 'cache_locks', 'jobs', 'failed_jobs'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
