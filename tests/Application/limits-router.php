<?php

declare(strict_types=1);

use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

// For LimitsTest: the application as public/index.php serves it, with work behind its limits that never ends.
require __DIR__.'/../../bootstrap/limits.php';
require __DIR__.'/../../vendor/autoload.php';

/** Writes a row, and then takes more and more of time or memory. */
final class Endless
{
    public function handle(Request $request, Closure $next): never
    {
        DB::beginTransaction();
        DB::table('mailbox_letters')->insert(['recipient' => 'endless@example.test', 'subject' => 'x', 'body' => 'x']);
        $all = [];
        while (true) {
            $all[] = $request->is('api/memory') ? str_repeat('x', 100_000) : count($all = []);
        }
    }
}

/** @var Illuminate\Foundation\Application $app */
$app = require __DIR__.'/../../bootstrap/app.php';
$app->make(Kernel::class)->pushMiddleware(Endless::class);
$app->handleRequest(Request::capture());
