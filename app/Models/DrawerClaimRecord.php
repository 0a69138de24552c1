<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Pieces of the drawer that a line of a build has for itself.
 *
 * @property int $id
 * @property int $piece_id
 * @property int $line_id
 * @property int $quantity
 * @property ?LineRecord $line
 */
final class DrawerClaimRecord extends Model
{
    protected $table = 'drawer_claims';

    protected $guarded = [];

    public $timestamps = false;

    /** @var array<string, string> */
    protected $casts = ['quantity' => 'integer', 'piece_id' => 'integer', 'line_id' => 'integer'];

    /** @return BelongsTo<LineRecord, $this> */
    public function line(): BelongsTo
    {
        return $this->belongsTo(LineRecord::class, 'line_id');
    }
}
