<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use App\Models\LineRecord;

/** Takes a line off the page. It can be put back; a candidate left alone in its place is chosen. */
final class RemoveLine
{
    public static function from(BuildRecord $build, string $key): void
    {
        $line = Lines::find($build, $key);
        DrawerPieces::letGo($build, $key);
        $line = Lines::find($build, $key);
        $line->fill(['removed_at' => now()])->save();
        if (! $line->chosen) {
            return;
        }
        $next = LineRecord::query()->where('build_id', $build->id)->where('slot', $line->slot)->whereNull('removed_at')->orderBy('position')->value('key');
        if (is_string($next)) {
            Lines::chooseOnly($build, Lines::find($build, $next));
        }
    }

    public static function undo(BuildRecord $build, string $key): void
    {
        $line = Lines::find($build, $key);
        $line->fill(['removed_at' => null])->save();
        if ($line->chosen) {
            Lines::chooseOnly($build, $line);
        }
    }
}
