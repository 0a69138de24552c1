<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('vendors', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 120);
            $table->char('currency', 3);
            $table->unsignedSmallInteger('lead_days');
            $table->string('note', 500);
            $table->timestamps();
            $table->unique(['user_id', 'name']);
        });
        Schema::create('parts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('key', 80);
            $table->string('name', 120);
            $table->string('role', 20);
            $table->string('maker', 120);
            $table->text('summary');
            $table->json('spec');
            $table->timestamps();
            $table->unique(['user_id', 'key']);
            $table->index(['role', 'name']);
            $table->fullText(['name', 'maker', 'summary']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('parts');
        Schema::dropIfExists('vendors');
    }
};
