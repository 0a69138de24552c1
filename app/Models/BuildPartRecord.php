<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Document;
use Illuminate\Database\Eloquent\Model;

/**
 * A build's own copy of a part.
 *
 * @property int $id
 * @property string $build_id
 * @property string $key
 * @property array<string, mixed> $spec
 */
final class BuildPartRecord extends Model
{
    protected $table = 'build_parts';

    protected $guarded = [];

    public $timestamps = false;

    /** @var array<string, string> */
    protected $casts = ['spec' => Document::class];

    protected static function booted(): void
    {
        self::saved(Written::note(...));
    }
}
