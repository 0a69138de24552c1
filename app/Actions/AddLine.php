<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use App\Models\LineRecord;
use App\Models\PartRecord;
use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;

/** Adds a library part as a line of its own, or as one more candidate beside another line. */
final class AddLine
{
    public static function to(BuildRecord $build, PartRecord $part, string $role, ?string $besideLine): void
    {
        Lines::refuseTooMany($build);
        $key = Lines::newKey($build, $role);
        $beside = $besideLine === null ? null : Lines::find($build, $besideLine);
        $offers = $part->spec['offers'] ?? [];
        LineRecord::query()->create([
            'build_id' => $build->id,
            'build_part_id' => Lines::ownCopy($build, $part)->id,
            'key' => $key,
            'role' => $beside->role ?? $role,
            'slot' => $beside->slot ?? $key,
            'chosen' => $beside === null,
            'quantity' => $beside->quantity ?? 1,
            'state' => ($offers === [] ? SupplyState::ToFind : SupplyState::Chosen)->value,
            'origin' => Origin::Buy->value,
            'vendor' => '',
            'note' => '',
            'extra' => [],
            'position' => Lines::lastPosition($build) + 1,
        ]);
    }
}
