<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Build;

/** Pieces that came, are right, and that no line of the build holds any more: they belong into the drawer. */
final class Orphans
{
    /** @return list<array{order: string, name: string, pieces: int}> */
    public static function of(Build $build): array
    {
        $orphans = [];
        foreach ($build->orders as $order) {
            foreach ($order->items as $item) {
                $left = $item->right - $item->putAway;
                if ($left > 0 && $build->line($item->line)?->part->id !== $item->part) {
                    $orphans[] = ['order' => $order->id, 'name' => $item->name, 'pieces' => $left];
                }
            }
        }

        return $orphans;
    }
}
