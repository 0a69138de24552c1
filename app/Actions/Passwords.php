<?php

declare(strict_types=1);

namespace App\Actions;

use App\Letters\Occasion;
use App\Letters\PostLetter;
use App\Models\User;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;

/** Checking and changing passwords, with the same work for addresses that nobody has. */
final class Passwords
{
    /** The account whose address and password these are; null otherwise, after as long. */
    public static function accountFor(string $email, string $password): ?User
    {
        $user = User::query()->where('email', $email)->first();
        $right = Hash::check($password, $user === null ? self::nobodys() : $user->getAuthPassword());
        if ($user === null || ! $right) {
            return null;
        }
        if (Hash::needsRehash($user->getAuthPassword())) {
            $user->forceFill(['password' => $password])->save();
        }

        return $user;
    }

    /** Sets a new password; every session and every remembered sign-in of the account ends. */
    public static function change(User $user, string $password): void
    {
        DB::transaction(static function () use ($user, $password): void {
            $user->forceFill(['password' => $password, 'remember_token' => Str::random(60), 'sessions_key' => User::newSessionsKey()])->save();
            PostLetter::to($user->email, Occasion::PasswordChanged);
        });
    }

    /** Ends every session and every remembered sign-in of the account. */
    public static function endSessions(User $user): void
    {
        DB::transaction(static fn () => $user->forceFill(['remember_token' => Str::random(60), 'sessions_key' => User::newSessionsKey()])->save());
    }

    /**
     * With the key of a letter.
     *
     * @param  array{token: string, email: string, password: string}  $given
     * @return ?User whose password was changed; null when the key is none or has run out
     */
    public static function reset(array $given): ?User
    {
        $changed = null;
        $known = DB::table('password_reset_tokens')->where('email', $given['email'])->exists();
        if (! $known) {
            Hash::check($given['token'], self::nobodys());
        }
        $status = Password::reset($given, static function (User $user, string $password) use (&$changed): void {
            self::change($user, $password);
            $changed = $user;
        });

        return $status === Password::PasswordReset ? $changed : null;
    }

    /** A hash that no password fits, made like all others. */
    private static function nobodys(): string
    {
        $hash = Cache::rememberForever('nobodys-password-'.md5(serialize(config('hashing'))), static fn (): string => Hash::make(Str::random(40)));

        return is_string($hash) ? $hash : Hash::make(Str::random(40));
    }
}
