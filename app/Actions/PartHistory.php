<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\PartChangeRecord;
use App\Models\PartRecord;
use Illuminate\Support\Str;
use PocketPlot\File\PartChanges;
use PocketPlot\File\PartReader;

/** Writes down what a change of a part changed, and keeps the part as it was before. To be called where the change is made. */
final class PartHistory
{
    /** Older changes are let go. */
    private const MOST_CHANGES = 60;

    /** @param  array<string, mixed>  $before  the part's spec until now; nothing is noted where nothing that is read has changed */
    public static function note(PartRecord $part, array $before, ChangedBy $how, string $note = '', ?int $merged = null): void
    {
        $changes = PartChanges::between(PartReader::read($before), PartReader::read($part->spec));
        if ($changes === [] && $merged === null) {
            return;
        }
        $part->history()->create([
            'how' => $how->value, 'note' => Str::limit($note, 190, ''), 'merged_id' => $merged, 'changes' => $changes, 'before' => $before,
        ]);
        $tooOld = PartChangeRecord::query()->where('part_id', $part->id)->orderByDesc('id')->offset(self::MOST_CHANGES)->limit(self::MOST_CHANGES)->pluck('id');
        PartChangeRecord::query()->whereIn('id', $tooOld)->delete();
    }
}
