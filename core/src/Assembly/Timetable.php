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
    /** @var list<array{job: int, day: int, start: int, endDay: int}> in the order of time */
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

    private int $day;

    private int $used = 0;

    /**
     * @param  list<Job>  $jobs
     * @param  list<int>  $order  places in $jobs
     */
    public function __construct(private readonly array $jobs, array $order, private readonly Calendar $calendar)
    {
        $this->day = $calendar->next(0);
        $open = $this->withoutUndated($order);
        while ($open !== []) {
            $at = $this->firstThatCanBegin($open);
            if ($at === null) {
                $this->wait($open);
            } else {
                $this->place($open[$at]);
                array_splice($open, $at, 1);
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
     * @param  list<int>  $order
     * @return list<int>
     */
    private function withoutUndated(array $order): array
    {
        $undated = [];
        foreach ($this->jobs as $at => $job) {
            if ($job->earliest === null || array_intersect_key($undated, array_flip($job->before)) !== []) {
                $undated[$at] = true;
            }
        }
        $this->undated = array_keys($undated);

        return array_values(array_filter($order, static fn (int $at): bool => ! isset($undated[$at])));
    }

    /** @param  non-empty-list<int>  $open */
    private function firstThatCanBegin(array $open): ?int
    {
        $left = $this->calendar->minutes - $this->used;
        foreach ($left <= 0 ? [] : $open as $index => $at) {
            $job = $this->jobs[$at];
            if ($job->earliest > $this->day || ($job->minutes > $left && $job->minutes <= $this->calendar->minutes)) {
                continue;
            }
            foreach ($job->before as $before) {
                $ready = $this->ready[$before] ?? null;
                if ($ready === null || $ready[0] > $this->day || ($ready[0] === $this->day && $ready[1] > $this->used)) {
                    continue 2;
                }
            }

            return $index;
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

    /** @param  non-empty-list<int>  $open */
    private function wait(array $open): void
    {
        $soon = PHP_INT_MAX;
        $tonight = PHP_INT_MAX;
        foreach ($open as $at) {
            $job = $this->jobs[$at];
            $day = $job->earliest ?? 0;
            $minute = 0;
            foreach ($job->before as $before) {
                if (! isset($this->ready[$before])) {
                    continue 2;
                }
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
        if ($soon === PHP_INT_MAX) {
            throw new \LogicException('no step can ever begin');
        }
        if ($tonight < PHP_INT_MAX) {
            $this->used = $tonight;
        } else {
            $this->day = $this->calendar->next(max($this->day + 1, $soon));
            $this->used = 0;
        }
    }
}
