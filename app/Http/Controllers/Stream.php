<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\StreamBusy;
use Illuminate\Contracts\Cache\LockTimeoutException;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\StreamedResponse;

/**
 * Answers that come piece by piece, one JSON document a line. A builder has one of them at a time, none goes on
 * when nobody listens any more, and none is longer than MOST_LINES or waits longer than MOST_SECONDS.
 */
final class Stream
{
    public const MOST_LINES = 2000;

    /** Of pauses between lines; the lines behind them come without. */
    public const MOST_SECONDS = 30;

    /** After so long a lock is given back, whatever became of its holder: longer than any stream, and a minute more, for clocks of several machines differ. */
    private const LOCK_SECONDS = 150;

    private const WAIT_SECONDS = 2;

    private int $lines = 0;

    private float $paused = 0.0;

    private function __construct() {}

    /**
     * @param  callable(self): void  $work  tells its lines
     *
     * @throws StreamBusy while another one of this builder's runs
     */
    public static function lines(callable $work): StreamedResponse
    {
        $lock = Cache::lock('stream '.(Auth::id() ?? request()->ip()), self::LOCK_SECONDS);
        try {
            // One that its page has left notices at its next line.
            $lock->block(self::WAIT_SECONDS);
        } catch (LockTimeoutException) {
            throw new StreamBusy;
        }

        return new StreamedResponse(static function () use ($work, $lock): void {
            ignore_user_abort(true);
            try {
                $work(new self);
            } catch (NobodyListens) {
                // The page was left.
            } finally {
                $lock->release();
            }
        }, 200, ['Content-Type' => 'application/x-ndjson', 'Cache-Control' => 'no-store', 'X-Accel-Buffering' => 'no']);
    }

    /**
     * @param  array<string, mixed>  $line
     *
     * @throws NobodyListens when the page was left, or has been told enough
     */
    public function tell(array $line): void
    {
        echo json_encode($line, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION), "\n";
        if (ob_get_level() > 0) {
            ob_flush();
        }
        flush();
        if (connection_aborted() !== 0 || ++$this->lines >= self::MOST_LINES) {
            throw new NobodyListens;
        }
    }

    public function pause(int $milliseconds): void
    {
        if ($this->paused < self::MOST_SECONDS) {
            $this->paused += $milliseconds / 1000;
            usleep($milliseconds * 1000);
        }
    }
}
