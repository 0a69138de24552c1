<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a build's card says, written with every edit, so that the list of builds appraises nothing. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('builds', function (Blueprint $table): void {
            $table->json('card')->nullable();
            $table->string('card_made', 60)->default('');
        });
    }

    public function down(): void
    {
        Schema::table('builds', static fn (Blueprint $table) => $table->dropColumn(['card', 'card_made']));
    }
};
