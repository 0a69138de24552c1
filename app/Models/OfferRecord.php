<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * What a builder saw for sale.
 *
 * @property int $id
 * @property int $user_id
 * @property string $part_key
 * @property string $vendor
 * @property string $variant
 * @property int $pieces
 * @property list<array{from: int, price: string}> $prices in the vendor's currency
 * @property string $condition
 * @property ?int $stock
 * @property string $seen_on
 * @property string $link
 * @property int $version
 */
final class OfferRecord extends Model
{
    protected $table = 'offers';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['pieces' => 'integer', 'prices' => 'array', 'stock' => 'integer', 'version' => 'integer'];
}
