<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * A lock that every node of a cluster knows, on rows that a transaction rests on and would else only read: how many
 * pieces are left, how much an account may keep.
 *
 * `select ... for update` is known to the one node that it was asked of. What two transactions on two nodes both
 * write, only one of them commits; the other is rolled back and begun anew (Http\Middleware\TryAgain). So the rows are
 * written, by counting `locks` up. On a single node this is a row lock as any other.
 */
final class RowLock
{
    /**
     * Inside of a transaction, before anything of these rows is read.
     *
     * @param  Builder<covariant Model>  $rows  of a table that has the column `locks`
     *
     * @throws \Illuminate\Database\QueryException when somebody else holds it longer than innodb_lock_wait_timeout
     */
    public static function on(Builder $rows): void
    {
        $rows->toBase()->increment('locks');
    }
}
