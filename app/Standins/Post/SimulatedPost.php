<?php

declare(strict_types=1);

namespace App\Standins\Post;

use PocketPlot\Build\Order;
use PocketPlot\Quantity\Day;

/** A stand-in for a post's tracking service: the same number always travels the same way, and every fourth parcel lies somewhere for a while. */
final class SimulatedPost implements ParcelPost
{
    private const LATE_DAYS = 4;

    public function name(): string
    {
        return 'Stand-in for a tracking service: made up, the same for the same number';
    }

    public function track(Order $order, Day $today): array
    {
        $days = $order->expectedOn === null ? 6 : max(2, $order->placedOn->daysUntil($order->expectedOn));
        $isLate = crc32($order->tracking) % 4 === 0;
        $stops = [
            [1, 'taken in by the post'],
            [max(1, intdiv($days, 2)), $isLate ? 'lies at the sorting office; the label cannot be read' : 'sorted and on its way'],
            [$days - 1 + ($isLate ? self::LATE_DAYS : 0), $isLate ? 'found again and on its way' : 'in the van'],
        ];
        $track = [];
        foreach ($stops as [$after, $says]) {
            $on = $order->placedOn->plusDays($after);
            if (! $on->isAfter($today)) {
                $track[] = ['on' => (string) $on, 'says' => $says];
            }
        }

        return $track;
    }
}
