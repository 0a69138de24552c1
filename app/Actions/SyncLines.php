<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Models\BuildRecord;
use PocketPlot\Build\SupplyState;
use PocketPlot\Sourcing\Progress;

/** The state of a line follows from its pieces: those of the drawer, those on their way, those that came. */
final class SyncLines
{
    /** @param  list<string>  $touched  lines whose orders changed: what is not ordered any more is to be bought again */
    public static function of(BuildRecord $build, array $touched): void
    {
        $core = BuildMapper::toCore($build->unsetRelations()->load(BuildMapper::RELATIONS));
        foreach ($build->lines as $row) {
            $line = $core->line($row->key);
            if ($line === null) {
                continue;
            }
            $progress = Progress::of($line, $core);
            $state = $progress->pieces === 0 && $progress->owned === 0 && in_array($row->key, $touched, true) ? SupplyState::Chosen : $progress->state();
            if ($progress->pieces > 0 || in_array($row->key, $touched, true)) {
                $row->fill(['state' => $state->value, 'expected_on' => $progress->expectedOn === null ? null : (string) $progress->expectedOn])->save();
            }
        }
        $build->unsetRelations();
    }
}
