<?php

declare(strict_types=1);

namespace App\Mapping;

use App\Models\BuildRecord;
use App\Models\OrderRecord;
use PocketPlot\Appraisal;
use PocketPlot\Build\Order;
use PocketPlot\Build\OrderItem;
use PocketPlot\Quantity\Cents;
use PocketPlot\Quantity\Day;
use PocketPlot\Report\ArrivalChecks;
use PocketPlot\Sourcing\Progress;

/** What the API answers of a build's orders: pieces, money, what to look at on arrival, what the post says, what can be undone. */
final class OrdersView
{
    /**
     * @param  \Closure(Order, Day): list<array{on: string, says: string}>  $track  what the post says of a parcel
     * @return list<array<string, mixed>> the latest first
     */
    public static function of(BuildRecord $record, \Closure $track): array
    {
        $appraisal = Appraisal::of(BuildMapper::toCore($record->load(BuildMapper::RELATIONS)), Today::day());
        $rows = $record->orders->keyBy('key');

        return array_map(
            static fn (Order $order): array => [
                ...self::order($order, $rows->get($order->id), $appraisal, Today::day()),
                'track' => $order->tracking === '' ? [] : $track($order, Today::day()),
            ],
            array_reverse($appraisal->build->orders),
        );
    }

    /** @return array<string, mixed> */
    private static function order(Order $order, ?OrderRecord $row, Appraisal $appraisal, Day $today): array
    {
        return [
            'id' => $order->id,
            'vendor' => $order->vendor,
            'state' => $order->state->value,
            'isOpen' => $order->state->isOpen(),
            'placedOn' => (string) $order->placedOn,
            'expectedOn' => $order->expectedOn === null ? null : (string) $order->expectedOn,
            'daysLate' => $order->daysLate($today),
            'delays' => self::delays($order, $appraisal),
            'currency' => $order->currency,
            'total' => Cents::says($order->total()),
            'why' => $order->why,
            'tracking' => $order->tracking,
            'items' => array_map(static fn (OrderItem $item): array => self::item($item, $appraisal), $order->items),
            'history' => array_map(static fn (array $one): array => ['on' => $one['on'], 'did' => $one['did']], $row->history ?? []),
        ];
    }

    /** Whether the day the build can be finished waits for this order. */
    private static function delays(Order $order, Appraisal $appraisal): bool
    {
        $lines = array_map(static fn (OrderItem $one): string => $one->line, $order->items);

        return $order->state->isOpen() && in_array($appraisal->vitals->waitsFor(), $lines, true);
    }

    /** @return array<string, mixed> */
    private static function item(OrderItem $item, Appraisal $appraisal): array
    {
        $line = $appraisal->build->line($item->line);
        $holds = $line !== null && $line->part->id === $item->part;
        $progress = $holds ? Progress::of($line, $appraisal->build) : null;
        $spare = $progress === null ? $item->kept() : min($item->kept(), $progress->spare());

        return [
            'line' => $item->line,
            'name' => $item->name,
            'packets' => $item->packets,
            'pieces' => $item->pieces,
            'awaited' => $item->awaited(),
            'right' => $item->right,
            'wrong' => $item->wrong,
            'broken' => $item->broken,
            'missing' => $item->missing,
            'tested' => $item->tested,
            'leftOver' => max(0, $item->wrong - $item->putAway) + $spare,
            'goods' => Cents::says($item->goods),
            'post' => Cents::says($item->post),
            'duty' => Cents::says($item->duty),
            'tax' => Cents::says($item->tax),
            'landed' => Cents::says($item->landed()),
            'refund' => Cents::says($item->refund),
            'isOnList' => $holds,
            'toBuyAgain' => $progress->toBuy ?? 0,
            'checks' => $holds ? ArrivalChecks::of($appraisal, $line) : [],
        ];
    }
}
