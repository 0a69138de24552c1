<?php

declare(strict_types=1);

namespace App\Sheets;

use PocketPlot\Build\Build;
use PocketPlot\Build\OrderItem;
use Sabre\VObject\Component\VCalendar;

/** What is expected on which day, as any calendar reads it (RFC 5545). */
final class ArrivalsCalendar
{
    public static function of(Build $build, string $id): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Pocket Plot//Arrivals//EN']);
        foreach ($build->orders as $order) {
            $awaited = array_filter($order->items, static fn (OrderItem $one): bool => $one->awaited() > 0);
            if (! $order->state->isOpen() || $order->expectedOn === null || $awaited === []) {
                continue;
            }
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "{$order->id}.{$id}@pocketplot",
                'DTSTAMP' => str_replace('-', '', (string) $order->placedOn).'T000000Z',
                'SUMMARY' => "{$build->name}: parcel from {$order->vendor}",
                'DESCRIPTION' => implode("\n", array_map(static fn (OrderItem $one): string => "{$one->awaited()} × {$one->name}", $awaited)),
            ]);
            $event->add('DTSTART', str_replace('-', '', (string) $order->expectedOn), ['VALUE' => 'DATE']);
            $event->add('DTEND', str_replace('-', '', (string) $order->expectedOn->plusDays(1)), ['VALUE' => 'DATE']);
            $calendar->add($event);
        }

        return $calendar->serialize();
    }
}
