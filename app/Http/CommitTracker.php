<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Database\Connection;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Database\Events\TransactionCommitting;

/** How far one try of a request has come with what builders write; sessions and limits, on a connection of their own, do not count. */
final class CommitTracker
{
    /** Whether a commit was sent off: when the connection is lost then, nobody knows whether it was kept. */
    public bool $attempted = false;

    /** Whether the database has confirmed one. */
    public bool $committed = false;

    public function reset(): void
    {
        $this->attempted = $this->committed = false;
    }

    public function committing(TransactionCommitting $event): void
    {
        $this->attempted = $this->attempted || self::isOfBuilders($event->connection);
    }

    public function committed(TransactionCommitted $event): void
    {
        $this->committed = $this->committed || (self::isOfBuilders($event->connection) && $event->connection->transactionLevel() === 0);
    }

    private static function isOfBuilders(Connection $connection): bool
    {
        return $connection->getName() === config('database.default');
    }
}
