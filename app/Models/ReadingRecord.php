<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Document;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * Something measured on the bench.
 *
 * @property int $id
 * @property string $build_id
 * @property int $line_id
 * @property string $key
 * @property array<string, mixed> $document as the file format writes it, without its photograph
 * @property ?string $removed_at
 * @property ?PhotoRecord $photo
 */
final class ReadingRecord extends Model
{
    protected $table = 'build_readings';

    protected $guarded = [];

    public $timestamps = false;

    /** @var array<string, string> */
    protected $casts = ['document' => Document::class];

    /** @return HasOne<PhotoRecord, $this> */
    public function photo(): HasOne
    {
        return $this->hasOne(PhotoRecord::class, 'reading_id');
    }

    protected static function booted(): void
    {
        self::saved(Written::note(...));
    }
}
