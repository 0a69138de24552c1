<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Document;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * Something that happened at the bench.
 *
 * @property int $id
 * @property string $build_id
 * @property string $key
 * @property array<string, mixed> $document as the file format writes it, without its photograph
 * @property ?StepPhotoRecord $photo
 */
final class StepEventRecord extends Model
{
    protected $table = 'step_events';

    protected $guarded = [];

    public $timestamps = false;

    /** @var array<string, string> */
    protected $casts = ['document' => Document::class];

    /** @return HasOne<StepPhotoRecord, $this> */
    public function photo(): HasOne
    {
        return $this->hasOne(StepPhotoRecord::class, 'event_id');
    }

    protected static function booted(): void
    {
        self::saved(Written::note(...));
    }
}
