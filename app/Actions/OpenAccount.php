<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\PendingAccount;
use App\Models\User;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Illuminate\Validation\ValidationException;

use function Illuminate\Support\defer;

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
        DB::transaction(static fn () => PendingAccount::query()->create(
            ['name' => $name, 'email' => $email, 'password' => $hash, 'token_hash' => PendingAccount::hashOf($token), 'created_at' => now()],
        ), self::TRIES);
        // After the answer has gone out: what is sent would tell by its time.
        defer(static fn () => self::write($email, $token));
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

    private static function write(string $email, string $token): void
    {
        $hours = PendingAccount::HOURS;
        [$subject, $body] = User::query()->where('email', $email)->exists()
            ? [
                'You have an account already',
                "Somebody, you perhaps, asked for an account under this address. There is one already.\n\nSign in here:\n"
                    .User::link('/sign-in')
                    ."\n\nIf the password is forgotten, ask for a new one there. If it was not you, do nothing.\n",
            ]
            : [
                'Your account for Pocket Plot',
                "Somebody, you we hope, asked for an account under this address.\n\nOpen it here within {$hours} hours:\n"
                    .User::link('/open-account', ['token' => $token])
                    ."\n\nIf it was not you, do nothing: there will be none.\n",
            ];
        Mail::raw($body, static fn ($letter) => $letter->to($email)->subject($subject));
    }
}
