<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use App\Models\PartRecord;
use PocketPlot\Build\SupplyState;

/** Adds a library part as a line of its own, or as one more candidate beside another line. */
final class AddLine
{
    public static function to(BuildRecord $build, PartRecord $part, string $role, ?string $besideLine): void
    {
        Lines::refuseTooMany($build);
        $beside = $besideLine === null ? null : Lines::find($build, $besideLine);
        $state = ($part->spec['offers'] ?? []) === [] ? SupplyState::ToFind : SupplyState::Chosen;
        Lines::add($build, Lines::ownCopy($build, $part), $role, $beside, $beside->quantity ?? 1, $state);
    }
}
