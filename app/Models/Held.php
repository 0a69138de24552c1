<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * Rows that a transaction rests on and would else only read: how many pieces are left, how much an account may keep.
 *
 * A row lock is known to the database node that it was taken on, and to no other. What two transactions on two nodes
 * both write, only one of them commits: the other is broken off and begun anew (Http\Middleware\TryAgain). So these
 * rows are written, by counting `held` up. On one node this is a row lock as any other.
 */
final class Held
{
    /**
     * Inside of a transaction, before anything of these rows is read.
     *
     * @param  Builder<covariant Model>  $rows  of a table that has `held`
     */
    public static function rows(Builder $rows): void
    {
        $rows->toBase()->increment('held');
    }
}
