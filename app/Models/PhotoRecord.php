<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $reading_id
 * @property string $jpeg
 */
final class PhotoRecord extends Model
{
    protected $table = 'reading_photos';

    protected $guarded = [];

    public $timestamps = false;
}
