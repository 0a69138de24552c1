<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildPartRecord;
use App\Models\BuildRecord;
use PocketPlot\File\BadFile;

/** Writes a build's own copy of a part anew, as it comes from the part editor. The library's part stays as it is. */
final class ChangePart
{
    /**
     * @param  array<string, mixed>  $given  as the editor sends it
     *
     * @throws BadFile with one problem a field
     */
    public static function in(BuildRecord $build, string $line, array $given): void
    {
        $part = BuildPartRecord::query()->findOrFail(Lines::find($build, $line)->build_part_id);
        $part->spec = KeepPart::spec([...$given, 'id' => $part->key]);
        $part->save();
    }
}
