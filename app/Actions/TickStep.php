<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\TickRecord;
use PocketPlot\Assembly\Plan;
use PocketPlot\Assembly\Step;
use PocketPlot\Facts\Facts;

/** A step done, with the parts it was done with, or not done after all. */
final class TickStep
{
    public static function in(BuildRecord $build, string $step, bool $done): void
    {
        if ($done) {
            $core = BuildMapper::toCore($build->load(BuildMapper::RELATIONS));
            self::done($build, $step, Plan::of(new Facts($core), Today::day())->step($step), [], now()->toDateString());
        } else {
            TickRecord::query()->where('build_id', $build->id)->where('step', $step)->delete();
        }
    }

    /**
     * @param  ?Step  $step  null for one that the plan does not know (any more)
     * @param  array<string, float|bool>  $read  what its gate asked
     */
    public static function done(BuildRecord $build, string $id, ?Step $step, array $read, string $on): void
    {
        $with = [];
        foreach ($step->lines ?? [] as $line) {
            $with[$line->id] = $line->part->id;
        }
        $tick = TickRecord::query()->where('build_id', $build->id)->where('step', $id)->first();
        if ($tick !== null && $tick->done_with === ($with === [] ? null : $with) && $read === []) {
            return;
        }
        // Done again: it counts as the last thing that was done.
        $extra = $tick === null ? [] : $tick->extra;
        $tick?->delete();
        TickRecord::query()->create([
            'build_id' => $build->id, 'step' => $id, 'done_on' => $on,
            'done_with' => $with === [] ? null : $with, 'was_read' => $read === [] ? null : $read, 'extra' => $extra,
        ]);
    }
}
