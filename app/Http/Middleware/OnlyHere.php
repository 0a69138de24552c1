<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Lets a request through only in demo mode, only from this machine to this machine, and only with the key that
 * bin/start printed. The key is what counts: a proxy on this machine can make every header look as if it were not
 * there, but whoever comes through it has not read this machine's screen.
 */
final class OnlyHere
{
    public const HOSTS = ['127.0.0.1', 'localhost', '[::1]'];

    /** Holds the key once the address with it was opened. */
    public const COOKIE = 'pocketplot_door';

    private const ADDRESSES = ['127.0.0.1', '::1'];

    /** Headers that only something between the browser and us sets. */
    private const PROXIES = ['forwarded', 'via', 'x-real-ip', 'x-client-ip', 'x-cluster-client-ip', 'true-client-ip', 'client-ip', 'x-originating-ip'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        if (! self::applies($request)) {
            throw new NotFoundHttpException('There is no such door here.');
        }

        return $next($request);
    }

    public static function applies(Request $request): bool
    {
        return config('pocketplot.demo') === true
            && in_array($request->server('REMOTE_ADDR'), self::ADDRESSES, true)
            && in_array($request->getHost(), self::HOSTS, true)
            && ! self::cameThroughProxy($request)
            && self::isKey($request->cookie(self::COOKIE));
    }

    public static function isKey(mixed $given): bool
    {
        $key = config('pocketplot.door_key');

        return is_string($key) && $key !== '' && is_string($given) && hash_equals($key, $given);
    }

    private static function cameThroughProxy(Request $request): bool
    {
        foreach ($request->headers->keys() as $name) {
            if (in_array($name, self::PROXIES, true) || str_starts_with($name, 'x-forwarded') || str_starts_with($name, 'x-proxy')) {
                return true;
            }
        }

        // Browsers speak 1.1 or newer; proxies speak 1.0 to what stands behind them unless told otherwise.
        return $request->server('SERVER_PROTOCOL') === 'HTTP/1.0';
    }
}
