<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\BuildRecord;
use App\Models\PartRecord;
use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;

/** Puts another part in a line's place; what was known of sourcing the old one does not hold for the new. */
final class SwapLine
{
    /** @param  ?int  $quantity  how many of it; as many as before when null */
    public static function in(BuildRecord $build, string $key, PartRecord $part, ?int $quantity = null): void
    {
        $before = NoteSwap::before($build);
        DrawerPieces::letGo($build, $key);
        $line = Lines::find($build, $key);
        $line->fill([
            'build_part_id' => Lines::ownCopy($build, $part)->id,
            'state' => SupplyState::Chosen->value,
            'origin' => Origin::Buy->value,
            'price_amount' => null,
            'price_currency' => null,
            'vendor' => '',
            'expected_on' => null,
            'quantity' => $quantity ?? $line->quantity,
        ])->save();
        ChangeFit::freed($build, $key);
        NoteSwap::after($build, $before, $key);
    }
}
