<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Document;
use Illuminate\Database\Eloquent\Model;

/**
 * One change of a part of somebody's own, with the part as it was before.
 *
 * @phpstan-import-type Change from \PocketPlot\File\PartChanges
 *
 * @property int $id
 * @property int $part_id
 * @property string $how
 * @property string $note
 * @property ?int $merged_id the part that it was merged with
 * @property list<Change> $changes
 * @property array<string, mixed> $before
 * @property \Illuminate\Support\Carbon $created_at
 */
final class PartChangeRecord extends Model
{
    protected $table = 'part_changes';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['changes' => 'array', 'before' => Document::class];
}
