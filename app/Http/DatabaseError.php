<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Contracts\Database\ConcurrencyErrorDetector;
use Illuminate\Contracts\Database\LostConnectionDetector;
use PDOException;
use Throwable;

/** What an error of the database, or of Redis, means for the request that met it. */
enum DatabaseError
{
    /** Another transaction was faster; this one was rolled back as a whole. */
    case Conflict;

    /** The node does not answer, is cut off from the others, or is going down. Another one may answer in a moment. */
    case Unavailable;

    /** There is no room left to write to. */
    case StorageFull;

    /** The statement was wrong, or something that we do not know. */
    case Other;

    /**
     * By MariaDB's list of error codes: too many connections (1040), the node is not part of the cluster's majority
     * (1047), shutting down (1053), connection aborted (1152), could not commit (1180), read only, as a node is that is
     * about to go (1290, 1792), interrupted (1317), killed (1927), refused, unknown, gone, lost (2002, 2003, 2006,
     * 2013), idle too long (4031).
     */
    private const UNAVAILABLE = [1040, 1047, 1053, 1152, 1180, 1290, 1317, 1792, 1927, 2002, 2003, 2006, 2013, 4031];

    /** From the same list: error writing a file (3, 1026), no space left (20, 28), disk full (1021), table full (1114). */
    private const STORAGE_FULL = [3, 20, 28, 1021, 1026, 1114];

    /** Null for what is no error of a database. */
    public static function of(Throwable $error): ?self
    {
        if (is_a($error, 'RedisException')) {
            return self::Unavailable;
        }
        if (! $error instanceof PDOException) {
            return null;
        }
        $code = self::code($error);

        return match (true) {
            app(ConcurrencyErrorDetector::class)->causedByConcurrencyError($error) => self::Conflict,
            in_array($code, self::STORAGE_FULL, true) => self::StorageFull,
            in_array($code, self::UNAVAILABLE, true), app(LostConnectionDetector::class)->causedByLostConnection($error) => self::Unavailable,
            default => self::Other,
        };
    }

    /** MariaDB's own code; null where the driver gives none. */
    private static function code(PDOException $error): ?int
    {
        $code = $error->errorInfo[1] ?? null;

        return is_numeric($code) ? (int) $code : null;
    }
}
