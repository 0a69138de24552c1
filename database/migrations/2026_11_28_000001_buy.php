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
        Schema::table('vendors', function (Blueprint $table): void {
            $table->json('terms')->nullable();
            $table->unsignedInteger('version')->default(1);
        });
        Schema::create('offers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('part_key', 80);
            $table->string('vendor', 120);
            $table->string('variant', 120)->default('');
            $table->unsignedSmallInteger('pieces');
            $table->json('prices');
            $table->string('condition', 20);
            $table->unsignedInteger('stock')->nullable();
            $table->date('seen_on');
            $table->string('link', 500)->default('');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->index(['user_id', 'part_key']);
        });
        Schema::create('build_orders', function (Blueprint $table): void {
            $table->id();
            $table->foreignUlid('build_id')->constrained()->cascadeOnDelete();
            $table->string('key', 80);
            $table->json('document');
            $table->json('history');
            $table->unique(['build_id', 'key']);
        });
        $this->drawer();
        Schema::table('build_lines', fn (Blueprint $table) => $table->unsignedSmallInteger('owned')->default(0));
        Schema::table('builds', fn (Blueprint $table) => $table->json('vendors')->nullable());
        Schema::table('users', fn (Blueprint $table) => $table->char('home_currency', 3)->default('EUR'));
    }

    private function drawer(): void
    {
        Schema::create('drawer_pieces', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('part_key', 80);
            $table->string('name', 120);
            $table->string('role', 20);
            $table->json('spec');
            $table->unsignedSmallInteger('quantity');
            $table->string('place', 120)->default('');
            $table->string('condition', 20);
            $table->string('origin', 20);
            $table->string('came_from', 200)->default('');
            $table->decimal('value_amount', 14, 2)->nullable();
            $table->char('value_currency', 3)->nullable();
            $table->string('note', 1000)->default('');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->softDeletes('removed_at');
            $table->index(['user_id', 'removed_at', 'name']);
        });
        Schema::create('drawer_photos', function (Blueprint $table): void {
            $table->foreignId('piece_id')->primary()->constrained('drawer_pieces')->cascadeOnDelete();
            $table->binary('jpeg');
        });
        DB::statement('alter table drawer_photos modify jpeg mediumblob not null');
        Schema::create('drawer_claims', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('piece_id')->constrained('drawer_pieces')->cascadeOnDelete();
            $table->foreignId('line_id')->constrained('build_lines')->cascadeOnDelete();
            $table->unsignedSmallInteger('quantity');
            $table->unique(['piece_id', 'line_id']);
        });
    }

    public function down(): void
    {
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn('home_currency'));
        Schema::table('builds', fn (Blueprint $table) => $table->dropColumn('vendors'));
        Schema::table('build_lines', fn (Blueprint $table) => $table->dropColumn('owned'));
        foreach (['drawer_claims', 'drawer_photos', 'drawer_pieces', 'build_orders', 'offers'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('vendors', fn (Blueprint $table) => $table->dropColumn(['terms', 'version']));
    }
};
