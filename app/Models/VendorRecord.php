<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property int $user_id
 * @property string $name
 * @property string $currency
 * @property int $lead_days
 * @property string $note
 * @property ?array<string, mixed> $terms post, days, closures, tax and duty as the file format has them; null while nobody said
 * @property int $version
 */
final class VendorRecord extends Model
{
    protected $table = 'vendors';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['lead_days' => 'integer', 'terms' => 'array', 'version' => 'integer'];

    /** @return array<string, mixed> as files have a vendor */
    public function document(): array
    {
        return [
            'name' => $this->name, 'currency' => $this->currency, 'leadDays' => $this->lead_days,
            ...($this->note === '' ? [] : ['note' => $this->note]), ...($this->terms ?? []),
        ];
    }
}
