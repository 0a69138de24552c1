<?php

declare(strict_types=1);

namespace App\Actions;

use App\Mapping\BuildMapper;
use App\Models\BuildRecord;
use PocketPlot\Build\Order;
use PocketPlot\Build\OrderItem;
use PocketPlot\Build\SupplyState;
use PocketPlot\Sourcing\Progress;

/** The state of a line follows from its pieces: those of the drawer, those on their way, those that came. */
final class SyncLines
{
    /** @param  Order  $changed  what it held and does not hold any more is to be bought again, where the line still has the part that was ordered */
    public static function of(BuildRecord $build, Order $changed): void
    {
        $core = BuildMapper::toCore($build->unsetRelations()->load(BuildMapper::RELATIONS));
        $touched = array_column(array_map(static fn (OrderItem $one): array => [$one->line, $one->part], $changed->items), 1, 0);
        foreach ($build->lines as $row) {
            $line = $core->line($row->key);
            if ($line === null) {
                continue;
            }
            $progress = Progress::of($line, $core);
            $isTouched = ($touched[$line->id] ?? null) === $line->part->id;
            $state = $progress->pieces === 0 && $progress->owned === 0 && $isTouched ? SupplyState::Chosen : $progress->state();
            if ($progress->pieces > 0 || $isTouched) {
                $row->fill(['state' => $state->value, 'expected_on' => $progress->expectedOn === null ? null : (string) $progress->expectedOn])->save();
            }
        }
        $build->unsetRelations();
    }
}
