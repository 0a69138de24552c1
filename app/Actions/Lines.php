<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildPartRecord;
use App\Models\BuildRecord;
use App\Models\LineRecord;
use App\Models\PartRecord;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;

/** What the edits of lines have in common. */
final class Lines
{
    public static function find(BuildRecord $build, string $key): LineRecord
    {
        return LineRecord::query()->where('build_id', $build->id)->where('key', $key)->firstOrFail();
    }

    /** The build's own copy that a line holds. */
    public static function partOf(BuildRecord $build, string $key): BuildPartRecord
    {
        return BuildPartRecord::query()->findOrFail(self::find($build, $key)->build_part_id);
    }

    /** The build's own copy of a library part; made when there is none of the same content yet. */
    public static function ownCopy(BuildRecord $build, PartRecord $part): BuildPartRecord
    {
        return self::copyOf($build, $part->key, $part->spec);
    }

    /** @param  array<string, mixed>  $content */
    public static function copyOf(BuildRecord $build, string $name, array $content): BuildPartRecord
    {
        $key = $name;
        for ($copy = 2; ; $copy++) {
            $spec = [...$content, 'id' => $key];
            $own = BuildPartRecord::query()->where('build_id', $build->id)->where('key', $key)->first();
            if ($own === null) {
                return BuildPartRecord::query()->create(['build_id' => $build->id, 'key' => $key, 'spec' => $spec]);
            }
            // Loose comparison: the order of keys does not matter.
            if ($own->spec == $spec) {
                return $own;
            }
            $key = Str::limit($name, 74, '')."-{$copy}";
        }
    }

    public static function newKey(BuildRecord $build, string $role): string
    {
        $taken = LineRecord::query()->where('build_id', $build->id)->pluck('key')->flip();
        for ($number = 1; ; $number++) {
            $key = $number === 1 ? $role : "{$role}-{$number}";
            if (! $taken->has($key)) {
                return $key;
            }
        }
    }

    /** A new line at the end, with a place of its own or as one more candidate beside another line. */
    public static function add(BuildRecord $build, BuildPartRecord $part, string $role, ?LineRecord $beside, int $quantity, SupplyState $state): LineRecord
    {
        $key = self::newKey($build, $role);

        return LineRecord::query()->create([
            'build_id' => $build->id,
            'build_part_id' => $part->id,
            'key' => $key,
            'role' => $beside->role ?? $role,
            'slot' => $beside->slot ?? $key,
            'chosen' => $beside === null,
            'quantity' => $quantity,
            'state' => $state->value,
            'origin' => Origin::Buy->value,
            'vendor' => '',
            'note' => '',
            'extra' => [],
            'position' => self::lastPosition($build) + 1,
        ]);
    }

    public static function lastPosition(BuildRecord $build): int
    {
        $last = LineRecord::query()->where('build_id', $build->id)->max('position');

        return is_numeric($last) ? (int) $last : 0;
    }

    public static function chooseOnly(BuildRecord $build, LineRecord $line): void
    {
        LineRecord::query()->where('build_id', $build->id)->where('slot', $line->slot)->whereNull('removed_at')->update(['chosen' => false]);
        LineRecord::query()->whereKey($line->id)->update(['chosen' => true]);
    }

    /** @throws ValidationException */
    public static function refuseTooMany(BuildRecord $build): void
    {
        if (LineRecord::query()->where('build_id', $build->id)->whereNull('removed_at')->count() >= 1000) {
            throw ValidationException::withMessages(['part' => 'A build holds at most 1000 lines. Remove some, or begin another build.']);
        }
    }
}
