<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('builds', function (Blueprint $table): void {
            $table->json('looked')->nullable();
        });
        Schema::table('parts', function (Blueprint $table): void {
            $table->unsignedInteger('version')->default(1);
        });
    }

    public function down(): void
    {
        Schema::table('builds', static fn (Blueprint $table) => $table->dropColumn('looked'));
        Schema::table('parts', static fn (Blueprint $table) => $table->dropColumn('version'));
    }
};
