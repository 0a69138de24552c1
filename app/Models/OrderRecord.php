<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Document;
use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $build_id
 * @property string $key
 * @property array<string, mixed> $document as the file format writes an order
 * @property list<array{on: string, did: string, was: array<string, mixed>}> $history what happened, the latest last, with what was before
 */
final class OrderRecord extends Model
{
    protected $table = 'build_orders';

    protected $guarded = [];

    public $timestamps = false;

    /** @var array<string, string> */
    protected $casts = ['document' => Document::class, 'history' => 'array'];

    protected static function booted(): void
    {
        self::saved(Written::note(...));
    }
}
