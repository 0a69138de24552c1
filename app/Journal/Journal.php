<?php

declare(strict_types=1);

namespace App\Journal;

use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Log;

/** What happened that somebody may want to know afterwards: who came in, who was refused, what was taken out. Never passwords, addresses or contents. */
final class Journal
{
    /** @param  array<string, scalar>  $facts  ids and counts only */
    public static function note(string $what, array $facts = []): void
    {
        Log::channel('journal')->info($what, $facts + ['user' => Auth::id() ?? 'nobody', 'from' => (string) request()->ip()]);
    }

    /** An address as it may stand in a log: tells two apart, and does not tell whose they are. */
    public static function masked(string $email): string
    {
        $key = config('app.key');

        return substr(hash_hmac('sha256', mb_strtolower($email), is_string($key) ? $key : ''), 0, 12);
    }
}
