<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\Order;
use PocketPlot\Build\OrderItem;
use PocketPlot\Build\Origin;
use PocketPlot\Build\SupplyState;
use PocketPlot\Quantity\Day;

/** How far the pieces of one line have come: from the drawer, on their way, here; and how many are still to be bought. */
final readonly class Progress
{
    /** @param  int  $pieces  ordered, as far as the orders hold */
    private function __construct(
        public int $needed,
        public int $owned,
        public int $pieces,
        public int $right,
        public int $tested,
        public int $awaited,
        public int $amiss,
        public int $toBuy,
        public ?Day $expectedOn,
        private SupplyState $said,
    ) {}

    public static function of(Line $line, Build $build): self
    {
        $pieces = $right = $tested = $awaited = $amiss = 0;
        $expected = null;
        foreach (self::ordered($line, $build) as [$order, $item]) {
            $pieces += $item->pieces;
            // What was put away lies in the drawer, for any build.
            $right += $item->kept();
            $tested += $item->tested;
            $awaited += $item->awaited();
            $amiss += $item->wrong + $item->broken + $item->missing;
            if ($item->awaited() > 0 && $order->expectedOn !== null) {
                $expected = $expected === null ? $order->expectedOn : $order->expectedOn->latest($expected);
            }
        }
        $needed = max(0, $line->quantity - $line->owned);
        $toBuy = $pieces > 0 ? max(0, $needed - $right - $awaited) : (self::saysItIsOpen($line) ? $needed : 0);

        return new self($line->quantity, $line->owned, $pieces, $right, $tested, $awaited, $amiss, $toBuy, $expected, $line->state);
    }

    /** What the pieces say of the line; what the builder wrote where none was ordered and none lies in the drawer. */
    public function state(): SupplyState
    {
        $needed = $this->needed - $this->owned;

        return match (true) {
            $needed <= 0 && $this->owned > 0 => $this->said === SupplyState::Tested ? SupplyState::Tested : SupplyState::Arrived,
            $this->pieces === 0 => $this->said,
            $this->tested >= $needed => SupplyState::Tested,
            $this->right >= $needed => SupplyState::Arrived,
            $this->right + $this->awaited >= $needed => SupplyState::Ordered,
            $this->amiss > 0 => SupplyState::Faulty,
            default => SupplyState::Chosen,
        };
    }

    /** Right pieces beyond what the line needs. */
    public function spare(): int
    {
        return max(0, $this->right - max(0, $this->needed - $this->owned));
    }

    /**
     * What was ordered of the part that the line holds now.
     *
     * @return list<array{Order, OrderItem}>
     */
    public static function ordered(Line $line, Build $build): array
    {
        $found = [];
        foreach ($build->orders as $order) {
            foreach ($order->holds() ? $order->items : [] as $item) {
                if ($item->line === $line->id && $item->part === $line->part->id) {
                    $found[] = [$order, $item];
                }
            }
        }

        return $found;
    }

    private static function saysItIsOpen(Line $line): bool
    {
        return $line->origin === Origin::Buy && in_array($line->state, [SupplyState::ToFind, SupplyState::Chosen, SupplyState::Faulty], true);
    }
}
