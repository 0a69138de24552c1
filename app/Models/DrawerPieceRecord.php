<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Document;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Collection;

/**
 * What a builder owns, across builds.
 *
 * @property int $id
 * @property int $user_id
 * @property string $part_key
 * @property string $name
 * @property string $role
 * @property array<string, mixed> $spec
 * @property int $quantity
 * @property string $place
 * @property string $condition
 * @property string $origin
 * @property string $came_from the donor, the vendor, the friend
 * @property ?string $value_amount
 * @property ?string $value_currency
 * @property string $note
 * @property int $version
 * @property Collection<int, DrawerClaimRecord> $claims
 */
final class DrawerPieceRecord extends Model
{
    use SoftDeletes;

    public const DELETED_AT = 'removed_at';

    protected $table = 'drawer_pieces';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['spec' => Document::class, 'quantity' => 'integer', 'version' => 'integer'];

    /** @return HasMany<DrawerClaimRecord, $this> */
    public function claims(): HasMany
    {
        return $this->hasMany(DrawerClaimRecord::class, 'piece_id');
    }

    /** @return HasOne<DrawerPhotoRecord, $this> */
    public function photo(): HasOne
    {
        return $this->hasOne(DrawerPhotoRecord::class, 'piece_id');
    }

    public function claimed(): int
    {
        return (int) $this->claims->sum('quantity');
    }
}
