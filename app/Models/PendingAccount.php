<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * Somebody who wants an account and has not opened the letter yet.
 *
 * @property int $id
 * @property string $email in small letters
 * @property string $name
 * @property string $password hashed
 * @property string $token_hash SHA-256 of the key in the letter
 * @property Carbon $created_at
 */
final class PendingAccount extends Model
{
    /** Hours for which a letter's key opens the account. */
    public const HOURS = 24;

    protected $guarded = [];

    public $timestamps = false;

    /** @var array<string, string> */
    protected $casts = ['created_at' => 'datetime'];

    public static function hashOf(string $token): string
    {
        return hash('sha256', $token);
    }
}
