<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property string $name
 * @property string $currency
 * @property int $lead_days
 * @property string $note
 */
final class VendorRecord extends Model
{
    protected $table = 'vendors';

    protected $guarded = [];
}
