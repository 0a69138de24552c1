<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $piece_id
 * @property string $jpeg
 */
final class DrawerPhotoRecord extends Model
{
    protected $table = 'drawer_photos';

    protected $primaryKey = 'piece_id';

    protected $guarded = [];

    public $timestamps = false;

    public $incrementing = false;
}
