<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

use PocketPlot\Build\Order;
use PocketPlot\Build\OrderItem;
use PocketPlot\Build\OrderState;
use PocketPlot\Quantity\Cents;
use PocketPlot\Quantity\Day;

/** What happens to an order after it was placed. Each change gives a new order; the one before is kept by whoever stores it. */
final class OrderChanges
{
    /** @throws BadOrder when it is past that */
    public static function confirmed(Order $order): Order
    {
        self::onlyOpen($order);

        return self::with($order, $order->state === OrderState::Placed ? OrderState::Confirmed : $order->state);
    }

    /** @throws BadOrder when nothing of it is awaited */
    public static function sent(Order $order, string $tracking): Order
    {
        self::onlyOpen($order);

        return self::with(
            $order, $order->state === OrderState::ArrivedInPart ? $order->state : OrderState::Sent, tracking: $tracking === '' ? $order->tracking : $tracking,
        );
    }

    /** @throws BadOrder when nothing of it is awaited, or the day lies before the order */
    public static function expected(Order $order, Day $day): Order
    {
        self::onlyOpen($order);
        if ($order->placedOn->isAfter($day)) {
            throw BadOrder::at('expectedOn', "The order went out on {$order->placedOn}; it cannot be here on {$day}. Write a later day.");
        }

        return self::with($order, $order->state, expectedOn: $day);
    }

    /** @throws BadOrder when a piece of it came already */
    public static function cancelled(Order $order): Order
    {
        self::onlyOpen($order);
        foreach ($order->items as $item) {
            if ($item->came() > 0) {
                throw BadOrder::at('did', 'Something of this order came already. Mark the rest as missing, or as refunded.');
            }
        }

        return self::with($order, OrderState::Cancelled);
    }

    /**
     * @param  array{right: int, wrong: int, broken: int, missing: int}  $pieces  how many more came, and how
     *
     * @throws BadOrder when more come than are awaited
     */
    public static function arrived(Order $order, int $at, array $pieces): Order
    {
        $item = self::item($order, $at);
        self::onlyOpen($order);
        $more = array_sum($pieces);
        if (min($pieces) < 0 || $more === 0) {
            throw BadOrder::at('right', 'Say how many pieces came, and how.');
        }
        if ($more > $item->awaited()) {
            $awaited = $item->awaited() === 0 ? 'none is awaited any more' : "only {$item->awaited()} more are awaited";
            throw BadOrder::at('right', "{$more} pieces of {$item->name} came, but {$awaited}. Count again, or look whether another window took them in.");
        }

        return self::settled(self::withItem($order, $at, self::counting($item, $pieces)));
    }

    /** @throws BadOrder when there are not so many right ones */
    public static function tested(Order $order, int $at, int $works, int $fails): Order
    {
        $item = self::item($order, $at);
        $untried = $item->right - $item->tested;
        if ($works < 0 || $fails < 0 || $works + $fails === 0 || $works + $fails > $untried) {
            throw BadOrder::at('works', $untried === 0 ? "No piece of {$item->name} waits for its test." : "{$untried} of {$item->name} wait for their test.");
        }

        return self::withItem($order, $at, self::counting(
            $item, ['right' => -$fails, 'wrong' => 0, 'broken' => $fails, 'missing' => 0], tested: $works,
        ));
    }

    /** @throws BadOrder when more is to come back than was paid */
    public static function refunded(Order $order, int $at, int $cents): Order
    {
        $item = self::item($order, $at);
        if ($cents <= 0 || $item->refund + $cents > $item->landed()) {
            $left = Cents::says($item->landed() - $item->refund);
            throw BadOrder::at('refund', "Of what {$item->name} cost, {$left} {$order->currency} can come back. Write that or less.");
        }

        return self::withItem($order, $at, self::counting($item, [], refund: $cents));
    }

    /**
     * Pieces that nobody needs for the build go into the drawer: the wrong ones first, then right ones to spare.
     *
     * @throws BadOrder when there are not so many
     */
    public static function putAway(Order $order, int $at, int $pieces, int $spare): Order
    {
        $item = self::item($order, $at);
        $there = max(0, $item->wrong - $item->putAway) + min($item->kept(), $spare);
        if ($pieces <= 0 || $pieces > $there) {
            throw BadOrder::at('pieces', $there <= 0 ? "Nothing of {$item->name} is left over." : "{$there} of {$item->name} are left over.");
        }

        return self::withItem($order, $at, self::counting($item, [], putAway: $pieces));
    }

    /** @throws BadOrder */
    private static function item(Order $order, int $at): OrderItem
    {
        return $order->items[$at] ?? throw BadOrder::at('item', 'The order does not hold this.');
    }

    /** @throws BadOrder */
    private static function onlyOpen(Order $order): void
    {
        if (! $order->state->isOpen()) {
            throw BadOrder::at('did', $order->state === OrderState::Cancelled ? 'The order is cancelled. Undo that first.' : 'All of this order has come.');
        }
    }

    /** @param  array{right?: int, wrong?: int, broken?: int, missing?: int}  $pieces */
    private static function counting(OrderItem $item, array $pieces, int $tested = 0, int $refund = 0, int $putAway = 0): OrderItem
    {
        return new OrderItem(
            $item->line, $item->part, $item->name, $item->packets, $item->pieces, $item->goods, $item->post, $item->duty, $item->tax,
            $item->right + ($pieces['right'] ?? 0), $item->wrong + ($pieces['wrong'] ?? 0),
            $item->broken + ($pieces['broken'] ?? 0), $item->missing + ($pieces['missing'] ?? 0),
            $item->tested + $tested, $item->refund + $refund, $item->putAway + $putAway,
        );
    }

    private static function settled(Order $order): Order
    {
        $awaited = array_sum(array_map(static fn (OrderItem $one): int => $one->awaited(), $order->items));

        return self::with($order, $awaited === 0 ? OrderState::Arrived : OrderState::ArrivedInPart);
    }

    private static function withItem(Order $order, int $at, OrderItem $item): Order
    {
        return self::with($order, $order->state, array_values(array_replace($order->items, [$at => $item])));
    }

    /** @param  ?list<OrderItem>  $items */
    private static function with(Order $order, OrderState $state, ?array $items = null, ?Day $expectedOn = null, ?string $tracking = null): Order
    {
        return new Order(
            $order->id, $order->vendor, $state, $order->placedOn, $expectedOn ?? $order->expectedOn, $order->currency,
            $items ?? $order->items, $order->why, $tracking ?? $order->tracking, $order->extra,
        );
    }
}
