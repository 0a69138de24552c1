<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('build_joins', function (Blueprint $table): void {
            $table->string('input', 60)->default('');
            $table->foreignId('through_line_id')->nullable()->constrained('build_lines')->nullOnDelete();
            $table->double('gauge_awg')->nullable();
            $table->double('length_mm')->nullable();
        });
        Schema::table('build_lines', function (Blueprint $table): void {
            $table->string('place', 80)->default('');
        });
    }

    public function down(): void
    {
        Schema::table('build_joins', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('through_line_id');
            $table->dropColumn(['input', 'gauge_awg', 'length_mm']);
        });
        Schema::table('build_lines', function (Blueprint $table): void {
            $table->dropColumn('place');
        });
    }
};
