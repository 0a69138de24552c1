<?php

declare(strict_types=1);

namespace App\Providers;

use App\Http\CommitTracker;
use App\Http\Middleware\HoldsSession;
use App\Http\Requests\EmailRequest;
use App\Journal\Journal;
use App\Models\BuildRecord;
use App\Models\DrawerPieceRecord;
use App\Models\OfferRecord;
use App\Models\PartRecord;
use App\Models\User;
use App\Models\VendorRecord;
use App\Policies\BuildPolicy;
use App\Policies\OwnPolicy;
use App\Policies\PartPolicy;
use App\Sessions\SessionRows;
use App\Standins\Bench\BenchInstrument;
use App\Standins\Bench\SimulatedBench;
use App\Standins\Mailbox\MailboxTransport;
use App\Standins\Post\ParcelPost;
use App\Standins\Post\SimulatedPost;
use App\Standins\Prices\PriceFeed;
use App\Standins\Prices\SimulatedFeed;
use App\Standins\Rates\RateService;
use App\Standins\Rates\SimulatedRates;
use Illuminate\Auth\Events\Login;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Database\Events\TransactionCommitting;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(BenchInstrument::class, SimulatedBench::class);
        $this->app->bind(ParcelPost::class, SimulatedPost::class);
        $this->app->bind(RateService::class, SimulatedRates::class);
        $this->app->bind(PriceFeed::class, SimulatedFeed::class);
        $this->app->singleton(CommitTracker::class);
        // Controllers ask for the signed-in builder by type; the route's guard has seen to it that there is one.
        $this->app->bind(User::class, static function (): User {
            $user = Auth::user();

            return $user instanceof User ? $user : new User;
        });
    }

    public function boot(): void
    {
        Gate::policy(BuildRecord::class, BuildPolicy::class);
        Gate::policy(PartRecord::class, PartPolicy::class);
        foreach ([DrawerPieceRecord::class, OfferRecord::class, VendorRecord::class] as $own) {
            Gate::policy($own, OwnPolicy::class);
        }
        Model::shouldBeStrict(config('app.env') !== 'production');
        Mail::extend('mailbox', static fn (): MailboxTransport => new MailboxTransport);
        Event::listen(Login::class, static function (Login $login): void {
            if ($login->user instanceof User) {
                session()->put(HoldsSession::KEY, $login->user->sessions_key);
            }
        });
        Event::listen(TransactionCommitting::class, fn (TransactionCommitting $event) => $this->app->make(CommitTracker::class)->committing($event));
        Event::listen(TransactionCommitted::class, fn (TransactionCommitted $event) => $this->app->make(CommitTracker::class)->committed($event));
        Session::extend('database', static fn (): SessionRows => new SessionRows(DB::connection('state'), 'sessions', Config::integer('session.lifetime')));
        $proxies = array_values(array_filter(Config::array('pocketplot.proxies'), is_string(...)));
        if ($proxies !== []) {
            TrustProxies::at($proxies);
            TrustProxies::withHeaders(Request::HEADER_X_FORWARDED_FOR | Request::HEADER_X_FORWARDED_PROTO);
        }
        RateLimiter::for('sign-in', self::signInLimits(...));
    }

    /**
     * One account is tried five times a minute from one address and thirty times from all of them together, whatever
     * way its address is written; and one address tries so many accounts.
     *
     * @return list<Limit>
     */
    private static function signInLimits(Request $request): array
    {
        $user = $request->user();
        $email = EmailRequest::small($request->input('email'));
        $account = $user instanceof User ? $user->id : ($email === '' ? null : User::query()->where('email', $email)->value('id'));
        $whose = is_int($account) ? "account {$account}" : "address {$email}";
        $most = config('pocketplot.sign_ins_a_minute');
        $told = static function (Request $request) use ($whose): never {
            Journal::note('too many tries', ['whose' => Journal::masked($whose)]);
            throw new TooManyRequestsHttpException(60, 'Too many tries.');
        };

        // The key of a letter names nobody, and nobody guesses one.
        $namesSomebody = is_int($account) || $email !== '';

        return [
            ...($namesSomebody
                ? [Limit::perMinute(5)->by("{$whose} from {$request->ip()}")->response($told), Limit::perMinute(30)->by($whose)->response($told)]
                : []),
            Limit::perMinute(is_int($most) ? $most : 30)->by("from {$request->ip()}")->response($told),
        ];
    }
}
