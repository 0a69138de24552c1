<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Order;
use PocketPlot\Build\OrderItem;
use PocketPlot\Build\OrderState;
use PocketPlot\Quantity\Day;

/** Makes an order out of what a plan buys at one vendor. */
final class Placing
{
    /** @param  string  $why  why it goes out although a part of it clashes */
    public static function of(PlannedOrder $planned, Build $build, string $id, Day $today, string $why = ''): Order
    {
        $items = [];
        $landed = $planned->landed();
        foreach ($planned->choices as $choice) {
            $line = self::lineOf($choice, $build);
            if ($line !== null) {
                $items = [...$items, ...self::items($choice, $landed[$choice->demand->id], $line, $build)];
            }
        }

        return new Order($id, $planned->vendor->name, OrderState::Placed, $today, $planned->arrives, $build->brief->currency, $items, $why);
    }

    /** The line that a choice is for: the demand's own, or the candidate beside it that holds the part which was chosen instead. */
    public static function lineOf(Choice $choice, Build $build): ?Line
    {
        $line = $build->line($choice->demand->id);
        if ($line === null || $line->part->id === $choice->offer->part) {
            return $line;
        }
        foreach ($build->lines as $other) {
            if ($other->slot === $line->slot && $other->part->id === $choice->offer->part) {
                return $other;
            }
        }

        return $line;
    }

    /** @return list<OrderItem> one for each line that the pieces go to, the money shared out by pieces */
    private static function items(Choice $choice, LineCost $cost, Line $line, Build $build): array
    {
        $dealt = ShoppingList::dealt($build, $line, $choice->packets * $choice->offer->pieces);
        $shares = array_map(static fn (int $cents): array => Landing::shared($cents, $dealt), [$cost->goods, $cost->post, $cost->duty, $cost->tax]);
        $items = [];
        $packets = $choice->packets;
        foreach ($dealt as $id => $pieces) {
            $items[] = new OrderItem(
                $id, $line->part->id, $line->part->name, max(1, min($packets, intdiv($pieces + $choice->offer->pieces - 1, $choice->offer->pieces))), $pieces,
                $shares[0][$id], $shares[1][$id], $shares[2][$id], $shares[3][$id],
            );
        }

        return $items;
    }
}
