<?php

declare(strict_types=1);

namespace App\Letters;

use App\Models\PendingAccount;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldBeEncrypted;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Mail\Message;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;

use function Illuminate\Support\defer;

/**
 * A letter that waits to be sent. With a queue it is kept before the request is answered, so that it is sent even if
 * the machine that was asked is gone by then; a mail server that does not answer is tried again. A worker that dies
 * between sending and striking it off the queue sends it twice: nobody can rule that out.
 *
 * What the letter says is found out when it is written, never while the page waits: an answer tells by nothing, not
 * even by its time, whether an address has an account.
 */
final class PostLetter implements ShouldBeEncrypted, ShouldQueue
{
    use Queueable;

    public int $tries = 8;

    /** Seconds. */
    public int $timeout = 60;

    /** @var list<int> seconds before each next try */
    public array $backoff = [5, 30, 120, 600, 1800, 3600, 7200];

    private function __construct(private readonly Occasion $occasion, private readonly string $email, private readonly string $token) {}

    /** @param  string  $token  of the account that was asked for */
    public static function to(string $email, Occasion $occasion, string $token = ''): void
    {
        $letter = new self($occasion, $email, $token);
        if (config('queue.default') === 'sync') {
            // After the answer has gone out: what is sent would tell by its time. Once, however often its transaction was begun anew.
            defer(static fn () => $letter->handle(), "{$occasion->value} {$email}");
        } else {
            dispatch($letter);
        }
    }

    public function handle(): void
    {
        match ($this->occasion) {
            Occasion::AccountAskedFor => $this->ofAccount(),
            Occasion::PasswordForgotten => Password::sendResetLink(['email' => $this->email]),
            // Whoever did not do this has to hear of it.
            Occasion::PasswordChanged => $this->send(
                'Your password was changed',
                "The password of your account was changed, and every other device was signed out.\n\nIf it was not you, ask for a new one at once:\n"
                    .User::link('/forgot-password')
                    ."\n",
            ),
        };
    }

    private function ofAccount(): void
    {
        $hours = PendingAccount::HOURS;
        if (User::query()->where('email', $this->email)->exists()) {
            $this->send(
                'You have an account already',
                "Somebody, you perhaps, asked for an account under this address. There is one already.\n\nSign in here:\n"
                    .User::link('/sign-in')
                    ."\n\nIf the password is forgotten, ask for a new one there. If it was not you, do nothing.\n",
            );
        } else {
            $this->send(
                'Your account for Pocket Plot',
                "Somebody, you we hope, asked for an account under this address.\n\nOpen it here within {$hours} hours:\n"
                    .User::link('/open-account', ['token' => $this->token])
                    ."\n\nIf it was not you, do nothing: there will be none.\n",
            );
        }
    }

    private function send(string $subject, string $body): void
    {
        Mail::raw($body, fn (Message $letter): Message => $letter->to($this->email)->subject($subject));
    }
}
