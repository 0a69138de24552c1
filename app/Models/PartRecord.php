<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Casts\Document;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;

/**
 * A part in somebody's library.
 *
 * @property int $id
 * @property int $user_id
 * @property string $key
 * @property string $name
 * @property string $role
 * @property string $maker
 * @property string $summary
 * @property array<string, mixed> $spec
 * @property int $version grows with every change
 * @property ?list<string> $also_keys keys of parts that turned out to be this one
 * @property \Illuminate\Support\Carbon $created_at
 */
final class PartRecord extends Model
{
    use SoftDeletes;

    public const DELETED_AT = 'removed_at';

    protected $table = 'parts';

    protected $guarded = [];

    /** @var array<string, string> */
    protected $casts = ['spec' => Document::class, 'version' => 'integer', 'also_keys' => 'array'];

    /** @return HasMany<PartFileRecord, $this> */
    public function files(): HasMany
    {
        return $this->hasMany(PartFileRecord::class, 'part_id');
    }

    /** @return HasMany<PartChangeRecord, $this> */
    public function history(): HasMany
    {
        return $this->hasMany(PartChangeRecord::class, 'part_id');
    }

    /**
     * The builder's own parts and the shared shelf.
     *
     * @return Builder<self>
     */
    public static function visibleTo(User $user): Builder
    {
        return self::query()->whereIn('user_id', [$user->id, User::shelf()->id]);
    }

    /**
     * Those, and the typical parts.
     *
     * @return Builder<self>
     */
    public static function reachableBy(User $user): Builder
    {
        return self::query()->whereIn('user_id', [$user->id, User::shelf()->id, User::typical()->id]);
    }

    /**
     * Every word must begin some word of name, maker or summary.
     *
     * @param  Builder<self>  $query
     * @return Builder<self>
     */
    public static function matching(Builder $query, string $words): Builder
    {
        preg_match_all('/[\p{L}\p{N}]+/u', $words, $found);
        $terms = $found[0];
        if ($terms === []) {
            return $query;
        }
        $short = array_filter($terms, static fn (string $word): bool => mb_strlen($word) < 3);
        foreach ($short as $word) {
            $query->where('name', 'like', '%'.addcslashes($word, '%_\\').'%');
        }
        $long = array_diff($terms, $short);

        return $long === [] ? $query : $query->whereRaw(
            'match(name, maker, summary) against (? in boolean mode)',
            [implode(' ', array_map(static fn (string $word): string => "+{$word}*", $long))],
        );
    }
}
