<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\BuildRecord;
use App\Models\User;
use App\Policies\BuildPolicy;
use App\Standins\Bench\BenchInstrument;
use App\Standins\Bench\SimulatedBench;
use App\Standins\Mailbox\MailboxTransport;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(BenchInstrument::class, SimulatedBench::class);
        // Controllers ask for the signed-in builder by type; the route's guard has seen to it that there is one.
        $this->app->bind(User::class, static function (): User {
            $user = Auth::user();

            return $user instanceof User ? $user : new User;
        });
    }

    public function boot(): void
    {
        Gate::policy(BuildRecord::class, BuildPolicy::class);
        Model::shouldBeStrict(config('app.env') !== 'production');
        Mail::extend('mailbox', static fn (): MailboxTransport => new MailboxTransport);
        RateLimiter::for('sign-in', static fn (Request $request): array => [
            Limit::perMinute(5)->by($request->string('email')->lower()->toString().'|'.$request->ip()),
            Limit::perMinute(is_int($most = config('pocketplot.sign_ins_a_minute')) ? $most : 30)->by((string) $request->ip()),
        ]);
    }
}
