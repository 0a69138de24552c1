<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Build\WorkPlan;
use PocketPlot\Quantity\Day;

/** Evenings at the bench, counted in days from today: which of them are free, and how long they are. */
final class Calendar
{
    /** Days that are looked ahead for a free evening: two years. */
    private const MOST_DAYS = 731;

    /** @var array<int, true> */
    private array $off = [];

    private readonly int $weekday;

    /** @param  int  $minutes  of an evening */
    public function __construct(public readonly Day $today, public readonly int $minutes, private readonly WorkPlan $work)
    {
        $this->weekday = (int) (new \DateTimeImmutable((string) $today))->format('N');
        foreach ($work->daysOff as $day) {
            $this->off[$today->daysUntil(Day::of($day))] = true;
        }
    }

    public function isFree(int $day): bool
    {
        return ! isset($this->off[$day]) && in_array(($this->weekday - 1 + $day) % 7 + 1, $this->work->weekdays, true);
    }

    /** The first free evening on this day or later. */
    public function next(int $day): int
    {
        for ($one = $day; $one < $day + self::MOST_DAYS; $one++) {
            if ($this->isFree($one)) {
                return $one;
            }
        }

        return $day;
    }

    /** The evening on which work of so many minutes that begins on this day is done. */
    public function dayAfterWork(int $day, int $minutes): int
    {
        $day = $this->next($day);
        for ($left = $minutes; $left > $this->minutes; $left -= $this->minutes) {
            $day = $this->next($day + 1);
        }

        return $day;
    }

    /** So many free evenings after this day. */
    public function evenings(int $day, int $count): int
    {
        for ($i = 0; $i < $count; $i++) {
            $day = $this->next($day + 1);
        }

        return $day;
    }

    public function day(int $offset): Day
    {
        return $this->today->plusDays($offset);
    }
}
