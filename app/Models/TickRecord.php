<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $step
 * @property string $done_on
 */
final class TickRecord extends Model
{
    protected $table = 'build_ticks';

    protected $guarded = [];

    public $timestamps = false;
}
