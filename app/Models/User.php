<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;

/**
 * @property int $id
 * @property string $name
 * @property string $email in small letters
 * @property string $home_currency of builds that are begun, and of values that name none
 * @property string $sessions_key sessions that were begun under another one have ended
 */
final class User extends Authenticatable
{
    protected $guarded = [];

    /** @var array<string, mixed> what a row has that was just made */
    protected $attributes = ['home_currency' => 'EUR'];

    protected $hidden = ['password', 'remember_token', 'sessions_key'];

    /** @var array<string, string> */
    protected $casts = ['password' => 'hashed'];

    /** The account that owns the typical parts, which stand for any of their kind. */
    public static function typical(): self
    {
        return self::query()->where('email', config('pocketplot.typical_email'))->firstOrFail();
    }

    /** The account that owns the shared shelf of parts, which everyone may read. */
    public static function shelf(): self
    {
        return self::query()->where('email', config('pocketplot.shelf_email'))->firstOrFail();
    }

    public static function newSessionsKey(): string
    {
        return Str::random(40);
    }

    /**
     * An address of this application for a letter: always under its own name, whatever name it was asked by.
     *
     * @param  array<string, string>  $query
     */
    public static function link(string $path, array $query = []): string
    {
        $base = config('app.url');

        return rtrim(is_string($base) ? $base : '', '/').$path.($query === [] ? '' : '?'.http_build_query($query));
    }

    /** @return HasMany<BuildRecord, $this> */
    public function builds(): HasMany
    {
        return $this->hasMany(BuildRecord::class);
    }

    public function sendPasswordResetNotification($token): void
    {
        $link = self::link('/new-password', ['token' => $token, 'email' => $this->email]);
        Mail::raw(
            "Somebody, you we hope, asked for a new password.\n\nSet it here within an hour:\n{$link}\n\nIf it was not you, do nothing: the old one still holds.\n",
            fn ($letter) => $letter->to($this->email)->subject('A new password for Pocket Plot'),
        );
    }
}
