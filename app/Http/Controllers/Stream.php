<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Symfony\Component\HttpFoundation\StreamedResponse;

/** Answers that come piece by piece, one JSON document a line. */
final class Stream
{
    /** @param  callable(callable(array<string, mixed>): void): void  $work  is handed what tells one line */
    public static function lines(callable $work): StreamedResponse
    {
        return new StreamedResponse(static function () use ($work): void {
            $work(static function (array $line): void {
                echo json_encode($line, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION), "\n";
                if (ob_get_level() > 0) {
                    ob_flush();
                }
                flush();
            });
        }, 200, ['Content-Type' => 'application/x-ndjson', 'Cache-Control' => 'no-store', 'X-Accel-Buffering' => 'no']);
    }
}
