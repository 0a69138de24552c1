<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Document;
use Illuminate\Database\Eloquent\Model;

/**
 * @property string $kind
 * @property int $from_line_id
 * @property int $to_line_id
 * @property string $output
 * @property string $input
 * @property ?int $through_line_id
 * @property ?float $gauge_awg
 * @property ?float $length_mm
 * @property array<string, mixed> $extra keys of the file that this version does not know
 */
final class JoinRecord extends Model
{
    protected $table = 'build_joins';

    protected $guarded = [];

    public $timestamps = false;

    /** @var array<string, string> */
    protected $casts = ['extra' => Document::class, 'gauge_awg' => 'float', 'length_mm' => 'float'];
}
