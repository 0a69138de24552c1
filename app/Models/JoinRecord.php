<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $kind
 * @property int $from_line_id
 * @property int $to_line_id
 * @property string $output
 */
final class JoinRecord extends Model
{
    protected $table = 'build_joins';

    protected $guarded = [];

    public $timestamps = false;
}
