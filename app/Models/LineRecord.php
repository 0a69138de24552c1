<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Document;
use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $build_id
 * @property int $build_part_id
 * @property string $key
 * @property string $role
 * @property string $slot
 * @property bool $chosen
 * @property int $quantity
 * @property string $state
 * @property string $origin
 * @property ?string $price_amount
 * @property ?string $price_currency
 * @property string $vendor
 * @property ?string $expected_on
 * @property string $note
 * @property string $place where in the body it goes
 * @property array<string, mixed> $extra
 * @property int $position
 * @property int $owned pieces that come out of the drawer
 * @property ?string $removed_at
 */
final class LineRecord extends Model
{
    protected $table = 'build_lines';

    protected $guarded = [];

    public $timestamps = false;

    /** @var array<string, string> */
    protected $casts = ['chosen' => 'boolean', 'quantity' => 'integer', 'position' => 'integer', 'owned' => 'integer', 'extra' => Document::class, 'build_part_id' => 'integer'];
}
