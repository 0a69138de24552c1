<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Mapping\Today;
use App\Models\BuildRecord;
use App\Models\StepEventRecord;
use Illuminate\Support\Str;
use PocketPlot\Assembly\Plan;
use PocketPlot\Assembly\Step;
use PocketPlot\Assembly\Substitution;
use PocketPlot\Build\Build;
use PocketPlot\Build\StepDid;
use PocketPlot\Build\StepEvent;
use PocketPlot\Facts\Facts;
use PocketPlot\File\RecordFile;

/** Writes into the record what a part replaced in mid-build brings with it: new steps, steps to do again, steps that fall away. */
final class NoteSwap
{
    private const MOST_LETTERS = 1900;

    /** @return ?Build the build before the swap; null while nothing was done at the bench yet, so that there is nothing to note */
    public static function before(BuildRecord $build): ?Build
    {
        return $build->ticks()->exists() ? BuildMapper::toCore($build->unsetRelations()->load(BuildMapper::RELATIONS)) : null;
    }

    public static function after(BuildRecord $build, ?Build $before, string $key): void
    {
        $was = $before?->line($key);
        if ($before === null || $was === null || ! $was->chosen) {
            return;
        }
        $core = BuildMapper::toCore($build->unsetRelations()->load(BuildMapper::RELATIONS));
        [$old, $new] = [self::plan($before), self::plan($core)];
        $titles = static fn (array $steps): string => implode('; ', array_map(static fn (Step $step): string => $step->title, $steps));
        $again = array_values(array_filter(array_map(
            static fn (array $one): ?Step => $new->step($one['step']),
            Substitution::of($new, $core)['again'],
        )));
        $says = array_filter([
            'New steps' => $titles(array_values(array_diff_key($new->steps(), $old->steps()))),
            'To be done again' => $titles($again),
            'Fall away' => $titles(array_values(array_diff_key($old->steps(), $new->steps()))),
        ]);
        $note = implode('. ', array_map(static fn (string $what, string $steps): string => "{$what}: {$steps}", array_keys($says), $says));
        $event = new StepEvent(
            'swap-'.Str::lower((string) Str::ulid()), "swap/{$key}", StepDid::Noted, Today::day(),
            Str::limit("{$was->part->name} replaced by {$core->line($key)?->part->name}", 190),
            note: Str::limit($note === '' ? 'The steps stay as they are.' : $note, self::MOST_LETTERS),
        );
        StepEventRecord::query()->create(['build_id' => $build->id, 'key' => $event->id, 'document' => RecordFile::document($event)]);
    }

    private static function plan(Build $build): Plan
    {
        return Plan::of(new Facts($build), Today::day());
    }
}
