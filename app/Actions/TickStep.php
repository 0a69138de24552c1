<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use App\Models\TickRecord;
use PocketPlot\Assembly\Step;

/** A step done, with the parts it was done with, or not done after all. */
final class TickStep
{
    /** @param  array<string, float|bool>  $read  what its gate asked, by the measure's key */
    public static function done(BuildRecord $build, Step $step, array $read, string $on): void
    {
        $with = [];
        foreach ($step->lines as $line) {
            $with[$line->id] = $line->part->id;
        }
        $tick = TickRecord::query()->where('build_id', $build->id)->where('step', $step->id)->first();
        if ($tick !== null && $tick->done_with === ($with === [] ? null : $with) && $read === []) {
            return;
        }
        // Done again: it counts as the last thing that was done.
        $extra = $tick === null ? [] : $tick->extra;
        $tick?->delete();
        TickRecord::query()->create([
            'build_id' => $build->id, 'step' => $step->id, 'done_on' => $on,
            'done_with' => $with === [] ? null : $with, 'was_read' => $read === [] ? null : $read, 'extra' => $extra,
        ]);
    }

    public static function undone(BuildRecord $build, string $step): void
    {
        TickRecord::query()->where('build_id', $build->id)->where('step', $step)->delete();
    }
}
