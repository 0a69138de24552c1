<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/**
 * The order in which the open steps are done: first the earliest last day, then the fewest changes of tool, then the
 * fewest evenings. What no order can beat is worked out beside it; where the order found reaches that, or all orders
 * were tried, it is proved the best.
 */
final class Sequencer
{
    /** With no more open steps than this, every order is tried where the bounds do not settle it. */
    private const MOST_TRIED_WHOLE = 6;

    /** The order as it was found first; tidying it never moves the last day. */
    public readonly Timetable $quick;

    private ?Timetable $tidied = null;

    /** Moves that are tried when an order is tidied, times its steps. */
    private const TIDYING = 4000;

    /** With more open steps than this, only the two orders that are best as a rule are tried, and neither is tidied. */
    private const MOST_TRIED = 100;

    private readonly FewestChanges $changes;

    /** @var array{finish: int, changes: int, evenings: int}|null */
    private ?array $bound = null;

    private bool $isWhole = false;

    /**
     * @param  list<Job>  $jobs  each after those before it
     * @param  ?list<int>  $wanted  the builder's own order, kept as far as it can be
     */
    public function __construct(private readonly array $jobs, private readonly Calendar $calendar, private readonly ?array $wanted = null)
    {
        $this->changes = new FewestChanges($jobs);
        if ($wanted !== null) {
            $this->quick = new Timetable($jobs, self::inOrder($jobs, $wanted), $calendar);

            return;
        }
        $best = new Timetable($jobs, $this->changes->order, $calendar);
        foreach ($this->orders($this->changes->order) as $order) {
            $one = new Timetable($jobs, $order, $calendar);
            $best = $one->worth() < $best->worth() ? $one : $best;
        }
        if (count($jobs) <= self::MOST_TRIED_WHOLE && $best->worth() !== array_values($this->bound())) {
            $best = $this->every($best, [], []);
            $this->isWhole = true;
        }
        $this->quick = $best;
    }

    public function timetable(): Timetable
    {
        return $this->tidied ??= $this->wanted !== null || $this->isWhole || count($this->jobs) > self::MOST_TRIED ? $this->quick : $this->tidy($this->quick);
    }

    /** Whether no other order is better: this one reaches what none can beat, or all were tried. */
    public function isProved(): bool
    {
        return $this->wanted === null && ($this->isWhole || $this->timetable()->worth() === array_values($this->bound()));
    }

    /** @return array{finish: int, changes: int, evenings: int} what no order can beat */
    public function bound(): array
    {
        if ($this->bound === null) {
            $dated = self::dated($this->jobs);
            $minutes = array_sum(array_map(fn (int $at): int => $this->jobs[$at]->minutes, $dated));
            $this->bound = [
                'finish' => $this->finishBound($dated),
                'changes' => count($dated) === count($this->jobs) ? $this->changes->bound : (new FewestChanges(self::only($this->jobs, $dated)))->bound,
                'evenings' => (int) ceil($minutes / max(1, $this->calendar->minutes)),
            ];
        }

        return $this->bound;
    }

    /**
     * @param  list<int>  $fewestChanges
     * @return iterable<list<int>>
     */
    private function orders(array $fewestChanges): iterable
    {
        $tails = $this->tails();
        $byTail = array_keys($this->jobs);
        usort($byTail, static fn (int $a, int $b): int => $tails[$b] <=> $tails[$a] ?: $a <=> $b);
        // What dries, prints or charges long is begun early, the rest by its tools.
        $place = array_flip($fewestChanges);
        $long = array_keys($this->jobs);
        $days = array_map(static fn (float $tail): int => (int) $tail, $tails);
        usort($long, static fn (int $a, int $b): int => $days[$b] <=> $days[$a] ?: $place[$a] <=> $place[$b]);
        yield $long;
        if (count($this->jobs) > self::MOST_TRIED) {
            return;
        }
        yield $byTail;
        // Long steps first fill the evenings better.
        $minutes = array_map(static fn (Job $job): int => $job->minutes, $this->jobs);
        $byLength = $long;
        usort($byLength, static fn (int $a, int $b): int => $days[$b] <=> $days[$a] ?: $minutes[$b] <=> $minutes[$a] ?: $a <=> $b);
        yield $byLength;
        $follows = $this->minutesThatFollow();
        usort($byLength, static fn (int $a, int $b): int => $follows[$b] <=> $follows[$a] ?: $a <=> $b);
        yield $byLength;
    }

    /** @return array<int, int> by place, minutes of the longest chain that begins with the step */
    private function minutesThatFollow(): array
    {
        $follows = array_fill(0, count($this->jobs), 0);
        for ($at = count($this->jobs) - 1; $at >= 0; $at--) {
            $follows[$at] += $this->jobs[$at]->minutes;
            foreach ($this->jobs[$at]->before as $before) {
                $follows[$before] = max($follows[$before], $follows[$at]);
            }
        }

        return $follows;
    }

    /** Brings steps to others with the same tools, as long as that is better and nothing is finished later. */
    private function tidy(Timetable $best): Timetable
    {
        $undated = $best->undated;
        $bound = array_values($this->bound());
        $mostMoves = intdiv(self::TIDYING, max(1, count($this->jobs)));
        for ($tries = 0, $isBetter = true; $isBetter && $tries < $mostMoves && $best->worth() !== $bound;) {
            $isBetter = false;
            $order = array_column($best->placed, 'job');
            foreach ($order as $from => $job) {
                foreach ($this->placesFor($order, $from) as $to) {
                    $moved = $order;
                    array_splice($moved, $from, 1);
                    array_splice($moved, $to, 0, [$job]);
                    $one = new Timetable($this->jobs, [...$moved, ...$undated], $this->calendar);
                    $tries++;
                    if ($one->worth() < $best->worth() && $one->finish === $best->finish) {
                        [$best, $isBetter] = [$one, true];
                        break 2;
                    }
                }
                if ($tries >= $mostMoves) {
                    break;
                }
            }
        }

        return $best;
    }

    /**
     * @param  list<int>  $order
     * @return list<int> places beside the nearest steps with the same tools, before and after, that the links allow
     */
    private function placesFor(array $order, int $from): array
    {
        $job = $this->jobs[$order[$from]];
        $places = [];
        for ($at = $from - 1; $at >= 0 && ! in_array($order[$at], $job->before, true); $at--) {
            if ($this->jobs[$order[$at]]->setup === $job->setup) {
                $places[] = $at + 1;
                break;
            }
        }
        for ($at = $from + 1; $at < count($order) && ! in_array($order[$from], $this->jobs[$order[$at]]->before, true); $at++) {
            if ($this->jobs[$order[$at]]->setup === $job->setup) {
                $places[] = $at - 1;
                break;
            }
        }

        return array_values(array_filter($places, static fn (int $to): bool => $to !== $from));
    }

    /** @return list<float> days that follow each step at least: what goes on by itself after it and after what comes later, and a little for the work */
    private function tails(): array
    {
        $tails = array_fill(0, count($this->jobs), 0.0);
        for ($at = count($this->jobs) - 1; $at >= 0; $at--) {
            $job = $this->jobs[$at];
            $tails[$at] += $job->minutes / 100000 + ($job->alone === null || $job->alone->endsWithin($this->calendar->minutes) ? 0 : $job->alone->days());
            foreach ($job->before as $before) {
                $tails[$before] = max($tails[$before], $tails[$at]);
            }
        }

        return array_values($tails);
    }

    /**
     * The day that no order can finish before: what has to be done before a step takes the one bench its minutes, on
     * top of the days on which parts come and of what goes on by itself.
     *
     * @param  list<int>  $dated
     */
    private function finishBound(array $dated): int
    {
        $isDated = array_fill_keys($dated, true);
        $begin = $end = $ancestors = [];
        $latest = 0;
        foreach ($this->jobs as $at => $job) {
            if (! isset($isDated[$at])) {
                continue;
            }
            $day = $this->calendar->next($job->earliest ?? 0);
            $mine = [];
            foreach ($job->before as $before) {
                $mine += $ancestors[$before] + [$before => true];
                $day = max($day, $this->calendar->next($end[$before] + $this->aloneDays($this->jobs[$before])));
            }
            $ancestors[$at] = $mine;
            $begin[$at] = $day;
            $end[$at] = $this->doneOn([...array_keys($mine), $at], $begin);
            $latest = max($latest, $end[$at] + $this->aloneDays($job));
        }

        return $begin === [] ? 0 : max($latest, $this->doneOn(array_keys($begin), $begin));
    }

    /**
     * @param  list<int>  $places
     * @param  array<int, int>  $begin  by place, the day before which it cannot begin
     */
    private function doneOn(array $places, array $begin): int
    {
        $minutes = [];
        foreach ($places as $at) {
            $minutes[$begin[$at]] = ($minutes[$begin[$at]] ?? 0) + $this->jobs[$at]->minutes;
        }
        krsort($minutes);
        $left = $latest = 0;
        foreach ($minutes as $day => $more) {
            $left += $more;
            $latest = max($latest, $this->calendar->dayAfterWork($day, $left));
        }

        return $latest;
    }

    /** Days that what a step sets going lasts at least. */
    private function aloneDays(Job $job): int
    {
        return $job->alone === null || $job->alone->endsWithin($this->calendar->minutes) ? 0 : $job->alone->days();
    }

    /**
     * @param  list<int>  $order
     * @param  array<int, true>  $done
     */
    private function every(Timetable $best, array $order, array $done): Timetable
    {
        if (count($order) === count($this->jobs)) {
            $one = new Timetable($this->jobs, $order, $this->calendar);

            return $one->worth() < $best->worth() ? $one : $best;
        }
        foreach ($this->jobs as $at => $job) {
            if (! isset($done[$at]) && array_diff_key(array_flip($job->before), $done) === []) {
                $best = $this->every($best, [...$order, $at], $done + [$at => true]);
            }
        }

        return $best;
    }

    /**
     * @param  list<Job>  $jobs
     * @return list<int> those that a day can be named for
     */
    private static function dated(array $jobs): array
    {
        $dated = [];
        foreach ($jobs as $at => $job) {
            if ($job->earliest !== null && array_diff_key(array_flip($job->before), $dated) === []) {
                $dated[$at] = true;
            }
        }

        return array_keys($dated);
    }

    /**
     * @param  list<Job>  $jobs
     * @param  list<int>  $places
     * @return list<Job> the same links among these
     */
    private static function only(array $jobs, array $places): array
    {
        $new = array_flip($places);

        return array_map(static fn (int $at): Job => new Job(
            $jobs[$at]->id, $jobs[$at]->minutes, $jobs[$at]->setup, $jobs[$at]->earliest,
            array_values(array_intersect_key($new, array_flip($jobs[$at]->before))), $jobs[$at]->alone,
        ), $places);
    }

    /**
     * @param  list<Job>  $jobs
     * @param  list<int>  $wanted
     * @return list<int> as wanted, each step preceded by what has to come before it
     */
    private static function inOrder(array $jobs, array $wanted): array
    {
        $order = [];
        $put = static function (int $at) use (&$put, &$order, $jobs): void {
            if (isset($order[$at])) {
                return;
            }
            foreach ($jobs[$at]->before as $before) {
                $put($before);
            }
            $order[$at] = $at;
        };
        foreach ($wanted as $at) {
            $put($at);
        }

        return array_values($order);
    }
}
