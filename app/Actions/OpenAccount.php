<?php

declare(strict_types=1);

namespace App\Actions;

use App\Letters\Occasion;
use App\Letters\PostLetter;
use App\Models\PendingAccount;
use App\Models\User;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/**
 * An account in two steps: asked for on a page, opened with the key of a letter. Nobody at the page learns
 * whether the address has an account already; only who reads its letters does.
 */
final class OpenAccount
{
    /** How often a transaction is begun anew that the database broke off for another's sake. */
    private const TRIES = 5;

    /** Does the same work whether there is an account or not. */
    public static function askedFor(string $name, string $email, string $password): void
    {
        $token = bin2hex(random_bytes(24));
        $hash = Hash::make($password);
        // Apart from the new row: two that clear out and write in one transaction lock each other out.
        DB::transaction(
            static fn () => PendingAccount::query()->where('created_at', '<', now()->subHours(PendingAccount::HOURS))->delete(),
            self::TRIES,
        );
        DB::transaction(static function () use ($name, $email, $hash, $token): void {
            PendingAccount::query()->create(
                ['name' => $name, 'email' => $email, 'password' => $hash, 'token_hash' => PendingAccount::hashOf($token), 'created_at' => now()],
            );
            PostLetter::to($email, Occasion::AccountAskedFor, $token);
        }, self::TRIES);
    }

    /** Refused, naming the token, when the key is none, has run out, or the address has an account by now. */
    public static function withKey(string $token): User
    {
        return DB::transaction(static function () use ($token): User {
            $pending = PendingAccount::query()->where('token_hash', PendingAccount::hashOf($token))->where(
                'created_at',
                '>=',
                now()->subHours(PendingAccount::HOURS),
            )->lockForUpdate()->first();
            if ($pending === null) {
                throw ValidationException::withMessages(['token' => 'This link has run out or was used. Sign in, or ask for an account once more.']);
            }
            try {
                $user = User::query()->create(
                    ['name' => $pending->name, 'email' => $pending->email, 'password' => $pending->password, 'sessions_key' => User::newSessionsKey()],
                );
            } catch (UniqueConstraintViolationException) {
                throw ValidationException::withMessages(['token' => 'This address has an account by now. Sign in, or ask for a new password.']);
            }
            PendingAccount::query()->where('email', $pending->email)->delete();

            return $user;
        }, self::TRIES);
    }
}
