<?php

declare(strict_types=1);

use App\Http\Middleware\SecureHeaders;
use App\Http\Problems;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        // Same-origin application; see compat/README.md.
        $middleware->remove(HandleCors::class);
        $middleware->append(SecureHeaders::class);
        $middleware->trimStrings(except: ['text', 'password']);
        $middleware->redirectGuestsTo('/sign-in');
    })
    ->withExceptions(fn (Exceptions $exceptions) => Problems::register($exceptions))
    ->create();
