<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Database\Connection;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Database\Events\TransactionCommitting;

/** What this request has asked the database to keep; of what builders write, not of sessions and limits. */
final class Commits
{
    /** Whether a commit was sent off: when the connection is lost then, nobody knows whether it was kept. */
    public bool $tried = false;

    public bool $kept = false;

    public function begin(): void
    {
        $this->tried = $this->kept = false;
    }

    public function committing(TransactionCommitting $event): void
    {
        $this->tried = $this->tried || self::isWork($event->connection);
    }

    public function committed(TransactionCommitted $event): void
    {
        $this->kept = $this->kept || (self::isWork($event->connection) && $event->connection->transactionLevel() === 0);
    }

    private static function isWork(Connection $connection): bool
    {
        return $connection->getName() === config('database.default');
    }
}
