<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\OtherName;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Answers only under the name that APP_URL gives; in demo mode also under this machine's own. */
final class OwnName
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $url = config('app.url');
        $names = [parse_url(is_string($url) ? $url : '', PHP_URL_HOST), ...(config('pocketplot.demo') === true ? OnlyHere::HOSTS : [])];
        if (! in_array($request->getHost(), $names, true)) {
            throw new OtherName;
        }

        return $next($request);
    }
}
