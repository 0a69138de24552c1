<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Document;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $step
 * @property string $done_on
 * @property array<string, mixed> $extra keys of the file that this version does not know
 * @property ?array<string, string> $done_with line => part, as it was then
 * @property ?array<string, float|bool> $was_read what a gate asked
 */
final class TickRecord extends Model
{
    protected $table = 'build_ticks';

    protected $guarded = [];

    public $timestamps = false;

    /** @var array<string, string> */
    protected $casts = ['extra' => Document::class, 'done_with' => 'array', 'was_read' => 'array'];
}
