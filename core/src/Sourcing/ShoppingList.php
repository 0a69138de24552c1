<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;

/** What of a build is still to be bought: chosen, and neither ordered nor here; what broke is bought again. */
final class ShoppingList
{
    /** @return list<Demand> one a part, however many lines it stands in: a packet serves them all */
    public static function of(Build $build): array
    {
        $pieces = $first = [];
        foreach ($build->chosen() as $line) {
            if (self::isOpen($line)) {
                $first[$line->part->id] ??= $line;
                $pieces[$line->part->id] = ($pieces[$line->part->id] ?? 0) + $line->quantity;
            }
        }

        return array_values(array_map(
            // What nobody weighed goes for the least that post is asked for.
            static fn (Line $line): Demand => new Demand(
                $line->id, $line->part->name, $pieces[$line->part->id], [$line->part->id => (int) ceil($line->part->size->massG->most ?? 0.0)],
            ),
            $first,
        ));
    }

    private static function isOpen(Line $line): bool
    {
        return $line->origin === Origin::Buy && ! $line->part->isWanted
            && in_array($line->state, [SupplyState::ToFind, SupplyState::Chosen, SupplyState::Faulty], true);
    }
}
