<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Facades\Mail;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 */
final class User extends Authenticatable
{
    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    /** @var array<string, string> */
    protected $casts = ['password' => 'hashed'];

    /** The account that owns the shared shelf of parts, which everyone may read. */
    public static function shelf(): self
    {
        return self::query()->where('email', config('pocketplot.shelf_email'))->firstOrFail();
    }

    /** @return HasMany<BuildRecord, $this> */
    public function builds(): HasMany
    {
        return $this->hasMany(BuildRecord::class);
    }

    public function sendPasswordResetNotification($token): void
    {
        $link = url('/new-password').'?'.http_build_query(['token' => $token, 'email' => $this->email]);
        Mail::raw(
            "Somebody, you we hope, asked for a new password.\n\nSet it here within an hour:\n{$link}\n\nIf it was not you, do nothing: the old one still holds.\n",
            fn ($letter) => $letter->to($this->email)->subject('A new password for Pocket Plot'),
        );
    }
}
