<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\CommitTracker;
use App\Http\DatabaseError;
use App\Http\Problems;
use App\Models\BuildRecord;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Session;
use Symfony\Component\HttpFoundation\Response;

/**
 * Begins a request anew that met a conflict (another transaction was faster) or whose database node went away before
 * its commit was sent off. Every write is one transaction, so that nothing of the first try is left; each try reads
 * everything fresh, from the account on. Who meets a conflict every time is told so, with the build as it is now.
 *
 * Never begun anew: what has committed already, and what lost its connection while it did, for then nobody knows
 * whether it was kept. That one is told that the database is away, and looks at the fresh page.
 */
final class TryAgain
{
    private const TRIES = 6;

    /** Milliseconds before the second try; twice as long before each further one. Half of it is left to chance, for the others wait, too. */
    private const CONFLICT_WAIT_MS = 8;

    private const UNAVAILABLE_WAIT_MS = 60;

    /** @param  float  $mostSeconds  no try is begun later than this: whoever waits in front has not all day */
    public function __construct(private readonly CommitTracker $commits, private readonly float $mostSeconds = 8.0) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        // Decrypted in place on the way in: the second try gets them as they came.
        $cookies = $request->cookies->all();
        $level = DB::transactionLevel();
        $began = microtime(true);
        for ($try = 1; ; $try++) {
            $this->commits->reset();
            $response = $next($request);
            $error = self::errorOf($response);
            if (! $this->mayBeginAnew($error)) {
                return $response;
            }
            if ($try === self::TRIES || microtime(true) - $began > $this->mostSeconds) {
                return $this->giveUp($request, $response, $error);
            }
            $wait = ($error === DatabaseError::Conflict ? self::CONFLICT_WAIT_MS : self::UNAVAILABLE_WAIT_MS) * 2 ** ($try - 1);
            usleep(1000 * random_int(intdiv($wait, 2), $wait));
            $request->cookies->replace($cookies);
            $this->forget($error, $level);
        }
    }

    /** The framework answers an error and keeps it with its answer. */
    private static function errorOf(Response $response): ?DatabaseError
    {
        $error = property_exists($response, 'exception') ? $response->exception : null;

        return $error instanceof \Throwable ? DatabaseError::of($error) : null;
    }

    private function mayBeginAnew(?DatabaseError $error): bool
    {
        return ! $this->commits->committed
            && ($error === DatabaseError::Conflict || ($error === DatabaseError::Unavailable && ! $this->commits->attempted));
    }

    /** What the first try has read is not taken for true by the next one: neither the account nor the session. */
    private function forget(?DatabaseError $error, int $level): void
    {
        // Unavailable: whatever stands in front of the nodes may lead to another one now. And where a node that broke a
        // transaction off would not even take its end, nobody counts on what is left of that connection: the next try
        // would write each statement for itself.
        if ($error === DatabaseError::Unavailable || DB::transactionLevel() !== $level) {
            DB::disconnect(config('database.default'));
            DB::disconnect('state');
        }
        Auth::forgetGuards();
        Session::forgetDrivers();
        app()->forgetInstance('session.store');
        Cookie::flushQueuedCookies();
    }

    private function giveUp(Request $request, Response $response, ?DatabaseError $error): Response
    {
        Log::warning('given up after several tries', ['error' => $error?->name, 'route' => $request->route()->uri()]);
        $build = $request->route('build');
        if ($error !== DatabaseError::Conflict || ! $build instanceof BuildRecord) {
            return $response;
        }
        $fresh = BuildRecord::query()->find($build->id);

        return $fresh === null ? $response : Problems::conflict($fresh);
    }
}
