<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use App\Models\PendingAccount;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** An account with all that is its own: builds, also those put away, parts, vendors, open letters. */
final class ThrowAccountAway
{
    public static function of(User $user): void
    {
        BuildRecord::withTrashed()->where('user_id', $user->id)->forceDelete();
        PendingAccount::query()->where('email', $user->email)->delete();
        DB::table('password_reset_tokens')->where('email', $user->email)->delete();
        $user->delete();
    }
}
