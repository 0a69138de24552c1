<?php

declare(strict_types=1);

use App\Http\Middleware\HoldsSession;
use App\Http\Middleware\Limits;
use App\Http\Middleware\OwnName;
use App\Http\Middleware\PlainInput;
use App\Http\Middleware\SecureHeaders;
use App\Http\Middleware\TryAgain;
use App\Http\Problems;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        // Same-origin application; see compat/README.md.
        $middleware->remove(HandleCors::class);
        $middleware->prepend(Limits::class);
        $middleware->append([SecureHeaders::class, OwnName::class, PlainInput::class, TryAgain::class]);
        $middleware->web(append: HoldsSession::class);
        $middleware->prependToPriorityList(before: AuthenticatesRequests::class, prepend: HoldsSession::class);
        $middleware->trimStrings(except: ['text', 'password', 'current']);
        $middleware->redirectGuestsTo('/sign-in');
    })
    ->withExceptions(fn (Exceptions $exceptions) => Problems::register($exceptions))
    ->create();
