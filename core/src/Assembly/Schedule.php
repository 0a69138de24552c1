<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Build\SupplyState;
use PocketPlot\Build\Vendor;
use PocketPlot\Quantity\Day;

/**
 * The earliest day the build can be finished: the open steps in their order, one evening a day from
 * today, each step waiting for the parts it needs.
 */
final readonly class Schedule
{
    /** @param  list<Line>  $undated lines that have to come and of which nobody knows when */
    private function __construct(public ?Day $finish, public ?Line $waitsLongestFor, public array $undated, public int $minutesLeft) {}

    /** @param  list<Step>  $steps */
    public static function of(Build $build, array $steps, Day $today): self
    {
        $day = $today;
        $usedToday = 0;
        $left = 0;
        $undated = [];
        $slowest = null;
        $arrivals = [];
        foreach ($steps as $step) {
            if (isset($build->ticks[$step->id])) {
                continue;
            }
            $left += $step->minutes;
            foreach ($step->waitsFor() as $line) {
                $arrives = $arrivals[$line->id] ??= self::arrivalOf($line, $today, $build->vendors) ?? false;
                if ($arrives === false) {
                    $undated[$line->id] = $line;
                } elseif ($arrives->isAfter($day)) {
                    $day = $arrives;
                    $usedToday = 0;
                    $slowest = $line;
                }
            }
            $usedToday += $step->minutes;
            while ($usedToday > $build->brief->eveningMinutes) {
                $usedToday -= $build->brief->eveningMinutes;
                $day = $day->plusDays(1);
            }
        }

        return new self($undated === [] && $steps !== [] ? $day : null, $slowest, array_values($undated), $left);
    }

    /**
     * The day it is expected; else, ordered today, what the vendor usually takes, closures counted in; else the offer's lead time; null when
     * none is known.
     *
     * @param  array<string, Vendor>  $vendors  by name
     */
    public static function arrivalOf(Line $line, Day $today, array $vendors = []): ?Day
    {
        if ($line->expectedOn !== null && $line->state !== SupplyState::Faulty) {
            return $line->expectedOn->latest($today);
        }
        if ($line->origin->isFree()) {
            return $today;
        }
        $offer = $line->part->bestOffer();
        $vendor = $line->state === SupplyState::Ordered ? null : ($vendors[$line->vendor === '' ? ($offer->vendor ?? '') : $line->vendor] ?? null);
        if ($vendor !== null) {
            return $vendor->arrival($today, $vendor->lead->usual);
        }

        return $offer === null || $line->state === SupplyState::Ordered ? null : $today->plusDays($offer->leadDays);
    }
}
