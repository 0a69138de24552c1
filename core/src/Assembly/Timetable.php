<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/**
 * Steps laid into evenings in a given order. The bench is never idle while something could be done: what cannot be
 * begun yet (a part is on its way, paint dries, no time is left tonight) lets the next one go first. A step is not
 * broken off for the night unless it takes longer than an evening.
 */
final class Timetable
{
    /** @var list<array{job: int, day: int, start: int, endDay: int}> in the order of time; days from today, start in minutes of the evening */
    public array $placed = [];

    /** @var list<int> jobs for which nobody can name a day */
    public array $undated = [];

    public int $finish = 0;

    public int $changes = 0;

    public int $evenings = 0;

    /** @var array<int, int> minutes by day, waiting between steps counted in */
    public array $worked = [];

    /** @var array<int, array{int, int}> day and minute from which what waits for a job can begin */
    private array $ready = [];

    /** @var array<int, list<int>> jobs that come right after, by job */
    private array $after = [];

    /** @var array<int, int> jobs before that are not placed yet, by job */
    private array $unmet = [];

    /** @var array<int, int> place in the order asked for, by job */
    private array $rank = [];

    /** @var array<int, int> jobs that nothing is placed before any more, by rank */
    private array $free = [];

    /** @var array<int, true> */
    private array $isUndated = [];

    private int $day;

    private int $used = 0;

    /**
     * @param  list<Job>  $jobs
     * @param  list<int>  $order  places in $jobs
     */
    public function __construct(private readonly array $jobs, array $order, private readonly Calendar $calendar)
    {
        $this->day = $calendar->next(0);
        $this->begin($order);
        while ($this->free !== []) {
            $rank = $this->firstThatCanBegin();
            if ($rank === null) {
                $this->wait();
            } else {
                $at = $this->free[$rank];
                unset($this->free[$rank]);
                $this->place($at);
                $this->release($at);
            }
        }
        $last = null;
        foreach ($this->placed as $one) {
            $setup = $this->jobs[$one['job']]->setup;
            $this->changes += $last === null || $last === $setup ? 0 : 1;
            $last = $setup;
        }
        $this->evenings = count($this->worked);
        foreach ($this->ready as [$day]) {
            $this->finish = max($this->finish, $day);
        }
    }

    /** @return array{int, int, int} what an order is judged by, the less the better: the last day, changes of tool, evenings */
    public function worth(): array
    {
        return [$this->finish, $this->changes, $this->evenings];
    }

    /** @return array{int, int} day and minute from which what waits for this job can begin */
    public function readyOn(int $job): array
    {
        return $this->ready[$job] ?? [PHP_INT_MAX, 0];
    }

    /**
     * Sorts out what nobody can name a day for, and what nothing comes before.
     *
     * @param  list<int>  $order
     */
    private function begin(array $order): void
    {
        $undated = [];
        foreach ($this->jobs as $at => $job) {
            $waits = $job->earliest === null;
            foreach ($job->before as $before) {
                $waits = $waits || isset($undated[$before]);
                $this->after[$before][] = $at;
            }
            if ($waits) {
                $undated[$at] = true;
            }
            $this->unmet[$at] = count($job->before);
        }
        $this->undated = array_keys($undated);
        foreach ($order as $rank => $at) {
            $this->rank[$at] = $rank;
            if ($this->unmet[$at] === 0 && ! isset($undated[$at])) {
                $this->free[$rank] = $at;
            }
        }
        $this->isUndated = $undated;
    }

    /** What only waited for this job is free to begin. */
    private function release(int $job): void
    {
        foreach ($this->after[$job] ?? [] as $at) {
            if (--$this->unmet[$at] === 0 && ! isset($this->isUndated[$at])) {
                $this->free[$this->rank[$at]] = $at;
            }
        }
        ksort($this->free);
    }

    private function firstThatCanBegin(): ?int
    {
        $left = $this->calendar->minutes - $this->used;
        foreach ($left <= 0 ? [] : $this->free as $rank => $at) {
            $job = $this->jobs[$at];
            if ($job->earliest > $this->day || ($job->minutes > $left && $job->minutes <= $this->calendar->minutes)) {
                continue;
            }
            foreach ($job->before as $before) {
                [$day, $minute] = $this->ready[$before];
                if ($day > $this->day || ($day === $this->day && $minute > $this->used)) {
                    continue 2;
                }
            }

            return $rank;
        }

        return null;
    }

    private function place(int $at): void
    {
        $job = $this->jobs[$at];
        $one = ['job' => $at, 'day' => $this->day, 'start' => $this->used, 'endDay' => $this->day];
        $this->used += $job->minutes;
        while ($this->used > $this->calendar->minutes) {
            $this->used -= $this->calendar->minutes;
            $this->worked[$this->day] = $this->calendar->minutes;
            $this->day = $this->calendar->next($this->day + 1);
        }
        $this->worked[$this->day] = $this->used;
        $one['endDay'] = $this->day;
        $this->placed[] = $one;
        $this->ready[$at] = $job->alone === null ? [$this->day, $this->used] : $this->afterAlone($job->alone);
    }

    /** @return array{int, int} */
    private function afterAlone(Alone $alone): array
    {
        $left = $this->calendar->minutes - $this->used;
        if ($alone->endsWithin($left)) {
            return [$this->day, $this->used + (int) ceil($alone->hours * 60)];
        }

        return [$this->day + $alone->days(), 0];
    }

    private function wait(): void
    {
        $soon = PHP_INT_MAX;
        $tonight = PHP_INT_MAX;
        foreach ($this->free as $at) {
            $job = $this->jobs[$at];
            $day = $job->earliest ?? 0;
            $minute = 0;
            foreach ($job->before as $before) {
                [$readyDay, $readyMinute] = $this->ready[$before];
                if ($readyDay > $day) {
                    [$day, $minute] = [$readyDay, 0];
                }
                $minute = $readyDay === $this->day ? max($minute, $readyMinute) : $minute;
            }
            $fits = $minute + $job->minutes <= $this->calendar->minutes || $job->minutes > $this->calendar->minutes;
            if ($day <= $this->day && $minute > $this->used && $fits) {
                $tonight = min($tonight, $minute);
            }
            $soon = min($soon, $day);
        }
        if ($tonight < PHP_INT_MAX) {
            $this->used = $tonight;
        } else {
            $this->day = $this->calendar->next(max($this->day + 1, $soon));
            $this->used = 0;
        }
    }
}
