<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Accounts begin with a letter to their address; addresses are told apart letter by letter; all sessions of an account can be ended at once. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', function (Blueprint $table): void {
            $table->string('sessions_key', 40)->default('');
        });
        foreach (['users', 'password_reset_tokens'] as $table) {
            DB::statement("update {$table} set email = lower(email)");
            DB::statement("alter table {$table} modify email varchar(190) character set utf8mb4 collate utf8mb4_nopad_bin not null");
        }
        Schema::create('pending_accounts', function (Blueprint $table): void {
            $table->id();
            $table->string('email', 190)->collation('utf8mb4_nopad_bin')->index();
            $table->string('name', 120);
            $table->string('password');
            $table->char('token_hash', 64)->unique();
            $table->timestamp('created_at')->index();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('pending_accounts');
        foreach (['users', 'password_reset_tokens'] as $table) {
            DB::statement("alter table {$table} modify email varchar(190) character set utf8mb4 collate utf8mb4_unicode_ci not null");
        }
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('sessions_key'));
    }
};
