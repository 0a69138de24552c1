<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\PartFileRecord;
use App\Models\PartRecord;
use Illuminate\Support\Facades\DB;
use PocketPlot\File\PartMerge;
use PocketPlot\File\PartReader;

/** Two parts of a library turn out to be the same one: one stays with what is known of both, the other is taken out; and back. */
final class MergeParts
{
    /**
     * @param  array<string, int>  $take  see PartMerge::of()
     *
     * @throws StalePart when one of the two was changed meanwhile; what contradicts itself is refused as BadFile
     */
    public static function into(PartRecord $stays, int $version, PartRecord $other, int $otherVersion, array $take): PartRecord
    {
        return DB::transaction(static function () use ($stays, $version, $other, $otherVersion, $take): PartRecord {
            $both = KeepPart::locked([$stays->id => $version, $other->id => $otherVersion]);
            [$stays, $other] = [$both[$stays->id], $both[$other->id]];
            $before = $stays->spec;
            $spec = KeepPart::spec([...PartMerge::of(PartReader::read($before), PartReader::read($other->spec), $take), 'id' => $stays->key]);
            $stays->also_keys = array_values(array_unique([...$stays->also_keys ?? [], $other->key, ...$other->also_keys ?? []]));
            KeepPart::write($stays, $spec);
            PartHistory::note($stays, $before, ChangedBy::Merge, $other->name, $other->id);
            $other->files()->update(['part_id' => $stays->id, 'came_from' => $other->id]);
            KeepPart::takeOut($other);

            return $stays;
        });
    }

    /**
     * Puts a part back to what it was before one of its changes. What was merged into it since comes out of it, as long as that is kept.
     *
     * @throws StalePart when it was changed meanwhile
     */
    public static function back(PartRecord $part, int $version, int $change): PartRecord
    {
        return DB::transaction(static function () use ($part, $version, $change): PartRecord {
            $part = KeepPart::locked([$part->id => $version])[$part->id];
            $to = $part->history()->whereKey($change)->firstOrFail();
            $before = $part->spec;
            foreach ($part->history()->where('id', '>=', $to->id)->whereNotNull('merged_id')->pluck('merged_id') as $merged) {
                self::takeApart($part, is_numeric($merged) ? (int) $merged : 0);
            }
            KeepPart::write($part, [...$to->before, 'id' => $part->key]);
            PartHistory::note($part, $before, ChangedBy::Back, $to->created_at->toDateString());

            return $part;
        });
    }

    private static function takeApart(PartRecord $part, int $id): void
    {
        $other = PartRecord::onlyTrashed()->where('user_id', $part->user_id)->find($id);
        if ($other === null) {
            return;
        }
        $keys = [$other->spec['id'] ?? '', ...$other->also_keys ?? []];
        KeepPart::putBack($other);
        PartFileRecord::withTrashed()->where('part_id', $part->id)->where('came_from', $other->id)->update(['part_id' => $other->id, 'came_from' => null]);
        $part->also_keys = array_values(array_diff($part->also_keys ?? [], $keys));
    }
}
