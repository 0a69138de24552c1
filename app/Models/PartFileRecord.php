<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A photograph of a part, or a file that goes with it: a drawing, a pin map.
 *
 * @property int $id
 * @property int $part_id
 * @property ?int $came_from the part that it belonged to before two were merged
 * @property string $name
 * @property bool $is_photo
 * @property int $bytes
 * @property string $content
 */
final class PartFileRecord extends Model
{
    use SoftDeletes;

    public const DELETED_AT = 'removed_at';

    /** All but the content. */
    public const LISTED = ['id', 'part_id', 'name', 'is_photo', 'bytes', 'created_at'];

    protected $table = 'part_files';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['is_photo' => 'boolean'];
}
