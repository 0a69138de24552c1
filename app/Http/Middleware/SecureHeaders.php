<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Nothing is loaded from elsewhere, no inline script runs, and nobody frames the page. */
final class SecureHeaders
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        // What builders brought along is handed out under a stricter rule of its own.
        $own = $response->headers->get('Content-Security-Policy');
        $response->headers->add([
            // Styles may be set inline because positioned menus and dialogs do so; scripts may not.
            'Content-Security-Policy' => $own ?? "default-src 'self'; script-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; font-src 'self'; connect-src 'self'; object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'none'",
            'X-Content-Type-Options' => 'nosniff',
            'X-Frame-Options' => 'DENY',
            'Referrer-Policy' => 'same-origin',
            'Permissions-Policy' => 'camera=(), microphone=(), geolocation=()',
        ]);
        if ($request->is('api/*')) {
            $response->headers->set('Cache-Control', 'no-store, private');
            if ($response instanceof JsonResponse && ! $response->headers->has('Content-Disposition')) {
                // Opened by itself in a browser, an answer is a file and never a page.
                $response->headers->set('Content-Disposition', 'attachment; filename="api.json"');
            }
        }

        return $response;
    }
}
