<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Document;
use Illuminate\Database\Eloquent\Concerns\HasUlids;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Illuminate\Support\Collection;

/**
 * A build as rows. What can be known about it is asked of the core, through Mapping\BuildMapper.
 *
 * @property string $id
 * @property int $user_id
 * @property string $name
 * @property array<string, mixed> $brief as written, keys this version does not know included
 * @property array<string, mixed> $rates
 * @property array<string, mixed> $extra
 * @property int $version grows with every edit
 * @property ?array<string, mixed> $looked finding key => verdict when the builder last looked; null before the first look
 * @property ?list<array<string, mixed>> $profiles the builder's ways of playing; null while there are none
 * @property ?array<string, mixed> $card what its card says; see Mapping\BuildCards
 * @property string $card_made the day and the rules by which the card was made
 * @property ?\Illuminate\Support\Carbon $updated_at
 * @property Collection<int, LineRecord> $lines
 * @property Collection<int, LineRecord> $removedLines
 * @property Collection<int, BuildPartRecord> $parts
 * @property Collection<int, JoinRecord> $joins
 * @property Collection<int, TickRecord> $ticks
 * @property ?list<array<string, mixed>> $vendors terms that came with a file, for vendors nobody here has written down
 * @property ?array<string, mixed> $work what the builder decided about the steps
 * @property ?array<string, mixed> $fit where the parts lie in the body
 * @property Collection<int, OrderRecord> $orders
 * @property Collection<int, ReadingRecord> $readings
 * @property Collection<int, StepEventRecord> $events
 */
final class BuildRecord extends Model
{
    use HasUlids;
    use SoftDeletes;

    protected $table = 'builds';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = [
        'brief' => Document::class,
        'rates' => Document::class,
        'extra' => Document::class,
        'version' => 'integer',
        'looked' => 'array',
        'profiles' => 'array',
        'vendors' => 'array',
        'work' => 'array',
        'fit' => 'array',
        'card' => 'array',
    ];

    /**
     * Every word stands somewhere in the name or the purpose.
     *
     * @param  HasMany<self, User>  $query
     * @return HasMany<self, User>
     */
    public static function matching(HasMany $query, string $words): HasMany
    {
        foreach (array_slice(preg_split('/\s+/u', trim($words), -1, PREG_SPLIT_NO_EMPTY) ?: [], 0, 8) as $word) {
            $like = '%'.addcslashes($word, '%_\\').'%';
            $query->where(static fn ($either) => $either->where('name', 'like', $like)->orWhereRaw("json_value(brief, '$.purpose') like ?", [$like]));
        }

        return $query;
    }

    /** @return HasMany<LineRecord, $this> */
    public function lines(): HasMany
    {
        return $this->hasMany(LineRecord::class, 'build_id')->whereNull('removed_at')->orderBy('position');
    }

    /** @return HasMany<LineRecord, $this> */
    public function removedLines(): HasMany
    {
        return $this->hasMany(LineRecord::class, 'build_id')->whereNotNull('removed_at')->orderByDesc('removed_at');
    }

    /** @return HasMany<BuildPartRecord, $this> */
    public function parts(): HasMany
    {
        return $this->hasMany(BuildPartRecord::class, 'build_id');
    }

    /** @return HasMany<JoinRecord, $this> */
    public function joins(): HasMany
    {
        return $this->hasMany(JoinRecord::class, 'build_id')->orderBy('id');
    }

    /** @return HasMany<TickRecord, $this> */
    public function ticks(): HasMany
    {
        return $this->hasMany(TickRecord::class, 'build_id')->orderBy('id');
    }

    /** @return HasMany<OrderRecord, $this> */
    public function orders(): HasMany
    {
        return $this->hasMany(OrderRecord::class, 'build_id')->orderBy('id');
    }

    /** @return HasMany<StepEventRecord, $this> */
    public function events(): HasMany
    {
        return $this->hasMany(StepEventRecord::class, 'build_id')->orderBy('id');
    }

    /** @return HasMany<ReadingRecord, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(ReadingRecord::class, 'build_id')->whereNull('removed_at')->orderBy('id');
    }
}
