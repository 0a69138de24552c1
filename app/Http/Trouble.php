<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Contracts\Database\ConcurrencyErrorDetector;
use Illuminate\Contracts\Database\LostConnectionDetector;
use PDOException;
use Throwable;

/** What went wrong between us and what we keep things in, as far as it matters for what to do now. */
enum Trouble
{
    /** Another transaction was faster; this one was taken back as a whole. */
    case Outrun;

    /** The node does not answer, has lost the others, or is going down. Another one may answer in a moment. */
    case Away;

    /** There is no room left to write to. */
    case Full;

    /** The statement was wrong, or something that we do not know. */
    case Other;

    /**
     * Numbers of MariaDB's own list. Too many connections, shutting down, the node is not part of the cluster's
     * majority, could not commit, broken off, killed, read only (about to go, or a guest of the cluster).
     */
    private const AWAY = [1040, 1047, 1053, 1152, 1180, 1317, 1290, 1792, 1927, 2002, 2003, 2006, 2013, 4031];

    /** No space for a temporary file, a log, a table, an index. */
    private const FULL = [3, 20, 28, 1021, 1026, 1114];

    public static function of(Throwable $error): ?self
    {
        if (is_a($error, 'RedisException')) {
            return self::Away;
        }
        if (! $error instanceof PDOException) {
            return null;
        }
        if (app(ConcurrencyErrorDetector::class)->causedByConcurrencyError($error)) {
            return self::Outrun;
        }
        $number = self::number($error);

        return match (true) {
            in_array($number, self::FULL, true) => self::Full,
            in_array($number, self::AWAY, true), app(LostConnectionDetector::class)->causedByLostConnection($error) => self::Away,
            default => self::Other,
        };
    }

    /** MariaDB's number of the error; null where it never came so far. */
    private static function number(PDOException $error): ?int
    {
        for ($one = $error; $one !== null; $one = $one->getPrevious()) {
            if ($one instanceof PDOException && is_numeric($one->errorInfo[1] ?? null)) {
                return (int) $one->errorInfo[1];
            }
        }

        return preg_match('/\[(\d{4})\]|: (\d{4}) /', $error->getMessage(), $found) === 1 ? (int) max($found[1], $found[2] ?? 0) : null;
    }
}
