<?php

declare(strict_types=1);

namespace PocketPlot\File;

use PocketPlot\Build\Order;
use PocketPlot\Build\OrderItem;
use PocketPlot\Build\OrderState;
use PocketPlot\Quantity\Cents;

/** An order as files and rows keep it; sums are decimals in the order's currency. */
final class OrderFile
{
    private const KEYS = ['id', 'vendor', 'state', 'placedOn', 'expectedOn', 'currency', 'items', 'why', 'tracking'];

    private const COUNTS = ['right', 'wrong', 'broken', 'missing', 'tested', 'putAway'];

    private const SUMS = ['goods', 'post', 'duty', 'tax', 'refund'];

    /** @throws BadFile naming the field */
    public static function read(Fields $fields): Order
    {
        $currency = $fields->string('currency');

        return new Order(
            $fields->string('id'),
            $fields->string('vendor'),
            $fields->oneOf('state', OrderState::class, OrderState::Placed),
            $fields->day('placedOn') ?? throw BadFile::at("{$fields->path}/placedOn", 'is missing', 'write the day of the order'),
            $fields->day('expectedOn'),
            $currency,
            array_map(static fn (Fields $one): OrderItem => self::item($one, $currency), $fields->children('items')),
            $fields->string('why', ''),
            $fields->string('tracking', ''),
            $fields->rest(self::KEYS),
        );
    }

    /** @throws BadFile */
    private static function item(Fields $fields, string $currency): OrderItem
    {
        $counts = $sums = [];
        foreach (self::COUNTS as $key) {
            $counts[$key] = max(0, $fields->int($key, 0));
        }
        foreach (self::SUMS as $key) {
            $sums[$key] = VendorReader::cents($fields, $key, $currency) ?? 0;
        }
        $item = new OrderItem(
            $fields->string('line'), $fields->string('part'), $fields->string('name', ''), $fields->atLeastOne('packets'), $fields->atLeastOne('pieces'),
            ...[...$sums, ...$counts],
        );
        if ($item->awaited() < 0) {
            throw BadFile::at($fields->path, "{$item->came()} pieces came of {$item->pieces}", 'count each piece once');
        }

        return $item;
    }

    /** @return array<string, mixed> */
    public static function document(Order $order): array
    {
        return [
            'id' => $order->id,
            'vendor' => $order->vendor,
            'state' => $order->state->value,
            'placedOn' => (string) $order->placedOn,
            ...($order->expectedOn === null ? [] : ['expectedOn' => (string) $order->expectedOn]),
            'currency' => $order->currency,
            'items' => array_map(self::itemDocument(...), $order->items),
            ...array_filter(['why' => $order->why, 'tracking' => $order->tracking]),
        ] + $order->extra;
    }

    /** @return array<string, mixed> */
    private static function itemDocument(OrderItem $item): array
    {
        $sums = array_map(Cents::says(...), array_filter(
            ['post' => $item->post, 'duty' => $item->duty, 'tax' => $item->tax, 'refund' => $item->refund],
        ));
        $counts = array_filter([
            'right' => $item->right, 'wrong' => $item->wrong, 'broken' => $item->broken, 'missing' => $item->missing,
            'tested' => $item->tested, 'putAway' => $item->putAway,
        ]);

        return [
            'line' => $item->line, 'part' => $item->part, 'name' => $item->name,
            'packets' => $item->packets, 'pieces' => $item->pieces, 'goods' => Cents::says($item->goods),
        ] + $sums + $counts;
    }
}
