<?php

declare(strict_types=1);

namespace App\Sheets;

use PocketPlot\Assembly\Plan;
use PocketPlot\Assembly\Step;
use PocketPlot\Build\Line;
use Sabre\VObject\Component\VCalendar;

/** The evenings at the bench, as any calendar reads them (RFC 5545). */
final class EveningsCalendar
{
    public static function of(Plan $plan, string $name, string $id): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Pocket Plot//Evenings//EN']);
        foreach ($plan->evenings() as $evening) {
            $day = str_replace('-', '', (string) $evening->on);
            $lines = array_map(static fn (Step $step): string => "{$step->minutes->usual} min  {$step->title}", $evening->steps);
            if ($evening->arrives !== []) {
                $lines[] = 'Needs what arrives by then: '.implode(', ', array_map(static fn (Line $line): string => $line->name(), $evening->arrives));
            }
            $event = $calendar->createComponent('VEVENT', [
                'UID' => "evening-{$day}.{$id}@pocketplot",
                'DTSTAMP' => str_replace('-', '', (string) $plan->today).'T000000Z',
                'SUMMARY' => "{$name}: {$evening->minutes} min at the bench",
                'DESCRIPTION' => implode("\n", [...$lines, ...$evening->beside]),
            ]);
            $event->add('DTSTART', $day, ['VALUE' => 'DATE']);
            $event->add('DTEND', str_replace('-', '', (string) $evening->on->plusDays(1)), ['VALUE' => 'DATE']);
            $calendar->add($event);
        }

        return $calendar->serialize();
    }
}
