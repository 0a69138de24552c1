<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Document;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $step
 * @property string $done_on
 * @property array<string, mixed> $extra keys of the file that this version does not know
 */
final class TickRecord extends Model
{
    protected $table = 'build_ticks';

    protected $guarded = [];

    public $timestamps = false;

    /** @var array<string, string> */
    protected $casts = ['extra' => Document::class];
}
