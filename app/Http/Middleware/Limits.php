<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Gives each request so many seconds of work and so much memory. Who meets the limit is told in words
 * (Problems::exhausted); what was written until then is rolled back with its connection.
 */
final class Limits
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! app()->runningInConsole()) {
            $seconds = config('pocketplot.request_seconds');
            $megabytes = config('pocketplot.request_megabytes');
            set_time_limit(is_int($seconds) ? $seconds : 20);
            ini_set('memory_limit', (is_int($megabytes) ? $megabytes : 256).'M');
        }

        return $next($request);
    }
}
