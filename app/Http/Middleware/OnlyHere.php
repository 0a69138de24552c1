<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Lets a request through only in demo mode and only from this machine to this machine. */
final class OnlyHere
{
    private const HOSTS = ['127.0.0.1', 'localhost', '[::1]'];

    private const ADDRESSES = ['127.0.0.1', '::1'];

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
            && in_array($request->ip(), self::ADDRESSES, true)
            && in_array($request->getHost(), self::HOSTS, true);
    }
}
