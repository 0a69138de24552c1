<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;

/** The one page that holds the interface, and the route that does nothing. */
final class PageController
{
    public function page(): View
    {
        return view('page');
    }

    /** Answers nothing through the whole stack; what other routes are timed against. */
    public function nothing(): JsonResponse
    {
        return new JsonResponse(['ok' => true]);
    }
}
