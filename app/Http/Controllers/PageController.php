<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\OnlyHere;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The one page that holds the interface, and the route that does nothing. */
final class PageController
{
    /** Opened with the key that bin/start printed, it opens the demo door for this browser. */
    public function page(Request $request): View|RedirectResponse
    {
        $key = $request->query('key');
        if (config('pocketplot.demo') === true && is_string($key)) {
            $to = redirect('/'.ltrim($request->path(), '/'));

            return OnlyHere::isKey($key) ? $to->withCookie(cookie()->make(OnlyHere::COOKIE, $key, 60 * 24 * 30, '/', null, null, true, false, 'strict')) : $to;
        }

        return view('page');
    }

    /** Answers nothing through the whole stack; what other routes are timed against. */
    public function nothing(): JsonResponse
    {
        return new JsonResponse(['ok' => true]);
    }
}
