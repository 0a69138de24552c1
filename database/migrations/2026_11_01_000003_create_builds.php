<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('builds', function (Blueprint $table): void {
            $table->ulid('id')->primary();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->json('brief');
            $table->json('rates');
            $table->json('extra');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->softDeletes();
            $table->index(['user_id', 'updated_at']);
        });
        Schema::create('build_parts', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('build_id')->constrained()->cascadeOnDelete();
            $table->string('key', 80);
            $table->json('spec');
            $table->unique(['build_id', 'key']);
        });
        Schema::create('build_lines', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('build_id')->constrained()->cascadeOnDelete();
            $table->foreignId('build_part_id')->constrained()->restrictOnDelete();
            $table->string('key', 80);
            $table->string('role', 20);
            $table->string('slot', 80);
            $table->boolean('chosen');
            $table->unsignedSmallInteger('quantity');
            $table->string('state', 20);
            $table->string('origin', 20);
            $table->decimal('price_amount', 14, 4)->nullable();
            $table->char('price_currency', 3)->nullable();
            $table->string('vendor', 120);
            $table->date('expected_on')->nullable();
            $table->text('note');
            $table->json('extra');
            $table->unsignedInteger('position');
            $table->timestamp('removed_at')->nullable();
            $table->unique(['build_id', 'key']);
            $table->index(['build_id', 'position']);
        });
        Schema::create('build_joins', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('build_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 20);
            $table->foreignId('from_line_id')->constrained('build_lines')->cascadeOnDelete();
            $table->foreignId('to_line_id')->constrained('build_lines')->cascadeOnDelete();
            $table->string('output', 60);
            $table->json('extra');
        });
        Schema::create('build_ticks', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('build_id')->constrained()->cascadeOnDelete();
            $table->string('step', 160);
            $table->date('done_on');
            $table->json('extra');
            $table->unique(['build_id', 'step']);
        });
    }

    public function down(): void
    {
        foreach (['build_ticks', 'build_joins', 'build_lines', 'build_parts', 'builds'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
