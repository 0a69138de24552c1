<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $event_id
 * @property string $jpeg
 */
final class StepPhotoRecord extends Model
{
    protected $table = 'step_photos';

    protected $guarded = [];

    public $timestamps = false;
}
