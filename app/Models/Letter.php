<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;

/**
 * A letter in the stand-in mailbox.
 *
 * @property int $id
 * @property string $recipient
 * @property string $subject
 * @property string $body
 * @property Carbon $created_at
 */
final class Letter extends Model
{
    protected $table = 'mailbox_letters';

    protected $guarded = [];
}
