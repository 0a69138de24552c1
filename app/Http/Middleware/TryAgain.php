<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\Commits;
use App\Http\Problems;
use App\Http\Trouble;
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
 * Begins a request anew whose transaction another one was faster than, or whose database node went away before a
 * commit was sent off. Every write is one transaction, so that nothing of the first try is left; each try reads
 * everything fresh, from the account on. Who is outrun every time is told so, with the build as it is now.
 *
 * Never tried again: what has committed already, and what lost its connection while it did, for then nobody knows
 * whether it was kept. That one is told that the database is away, and looks at the fresh page.
 */
final class TryAgain
{
    private const TRIES = 6;

    /** Before the second try; twice as long before each further one. */
    private const WAIT_MS = ['outrun' => 8, 'away' => 60];

    /** @param  float  $mostSeconds  no try is begun later than this: whoever waits in front has not all day */
    public function __construct(private readonly Commits $commits, private readonly float $mostSeconds = 8.0) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        // Decrypted in place on the way in: the second try gets them as they came.
        $cookies = $request->cookies->all();
        $level = DB::transactionLevel();
        $began = microtime(true);
        for ($try = 1; ; $try++) {
            $this->commits->begin();
            $response = $next($request);
            $error = property_exists($response, 'exception') && $response->exception instanceof \Throwable ? $response->exception : null;
            $trouble = $error === null ? null : Trouble::of($error);
            if (! $this->mayBeginAnew($trouble)) {
                return $response;
            }
            if ($try === self::TRIES || microtime(true) - $began > $this->mostSeconds) {
                return $this->giveUp($request, $response, $trouble);
            }
            $wait = self::WAIT_MS[$trouble === Trouble::Outrun ? 'outrun' : 'away'] * 2 ** ($try - 1);
            usleep(1000 * random_int(intdiv($wait, 2), $wait));
            $request->cookies->replace($cookies);
            $this->forget($trouble, $level);
        }
    }

    private function mayBeginAnew(?Trouble $trouble): bool
    {
        return ! $this->commits->kept
            && ($trouble === Trouble::Outrun || ($trouble === Trouble::Away && ! $this->commits->tried));
    }

    /** What the first try has read is not taken for true by the next one: neither the account nor the session. */
    private function forget(?Trouble $trouble, int $level): void
    {
        // Away: whatever stands in front of the nodes may lead to another one now. And where a node that broke a
        // transaction off would not even take its end, nobody counts on what is left of that connection: the next try
        // would write each statement for itself.
        if ($trouble === Trouble::Away || DB::transactionLevel() !== $level) {
            DB::disconnect(config('database.default'));
            DB::disconnect('shared');
        }
        Auth::forgetGuards();
        Session::forgetDrivers();
        app()->forgetInstance('session.store');
        Cookie::flushQueuedCookies();
    }

    private function giveUp(Request $request, Response $response, ?Trouble $trouble): Response
    {
        Log::warning('given up after several tries', ['trouble' => $trouble?->name, 'route' => $request->route()->uri()]);
        $build = $request->route('build');
        if ($trouble !== Trouble::Outrun || ! $build instanceof BuildRecord) {
            return $response;
        }
        $fresh = BuildRecord::query()->find($build->id);

        return $fresh === null ? $response : Problems::outrun($fresh);
    }
}
