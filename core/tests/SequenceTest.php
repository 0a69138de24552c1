<?php

declare(strict_types=1);

use CoreTests\Make;
use PocketPlot\Assembly\Alone;
use PocketPlot\Assembly\Calendar;
use PocketPlot\Assembly\Circle;
use PocketPlot\Assembly\FewestChanges;
use PocketPlot\Assembly\Job;
use PocketPlot\Assembly\Link;
use PocketPlot\Assembly\LinkKind;
use PocketPlot\Assembly\Sequencer;
use PocketPlot\Assembly\Setup;
use PocketPlot\Build\WorkPlan;

/** @return list<Job> drawn by lot, each after those before it */
function drawnJobs(int $seed, int $count, float $links = 0.3): array
{
    mt_srand($seed);
    $jobs = [];
    for ($at = 0; $at < $count; $at++) {
        $before = array_values(array_filter(range(0, max(0, $at - 1)), static fn (int $one): bool => $one < $at && mt_rand(0, 999) < $links * 1000));
        $jobs[] = new Job(
            "s{$at}", [10, 15, 20, 30, 45, 60, 90, 150][mt_rand(0, 7)], Setup::cases()[mt_rand(0, 3)],
            mt_rand(0, 5) === 0 ? mt_rand(1, 6) : 0, $before,
            mt_rand(0, 6) === 0 ? new Alone('dries', [0.3, 5.0, 48.0][mt_rand(0, 2)]) : null,
        );
    }

    return $jobs;
}

/** @return iterable<list<int>> every order that keeps to the links */
function everyOrder(array $jobs, array $order = []): iterable
{
    if (count($order) === count($jobs)) {
        yield $order;
    }
    foreach ($jobs as $at => $job) {
        if (! in_array($at, $order, true) && array_diff($job->before, $order) === []) {
            yield from everyOrder($jobs, [...$order, $at]);
        }
    }
}

/** Last day, changes and evenings of an order, played minute by minute: written apart from the timetable, for evenings of 120 minutes. */
function played(array $jobs, array $order): array
{
    [$day, $minute, $ready, $changes, $last, $days] = [0, 0, [], 0, null, []];
    while ($order !== []) {
        foreach ($order as $index => $at) {
            $job = $jobs[$at];
            $can = $job->earliest <= $day && ($minute + $job->minutes <= 120 || ($job->minutes > 120 && $minute < 120));
            foreach ($job->before as $before) {
                $can = $can && isset($ready[$before]) && $ready[$before] <= $day * 1440 + $minute;
            }
            if (! $can) {
                continue;
            }
            $changes += $last === null || $last === $job->setup ? 0 : 1;
            $last = $job->setup;
            for ($left = $job->minutes; $left > 0;) {
                if ($minute === 120) {
                    [$day, $minute] = [$day + 1, 0];
                }
                $days[$day] = true;
                $now = min($left, 120 - $minute);
                $minute += $now;
                $left -= $now;
            }
            $ready[$at] = $day * 1440 + $minute;
            if ($job->alone !== null) {
                $ready[$at] = $minute + $job->alone->hours * 60 <= 120 ? $ready[$at] + (int) ceil($job->alone->hours * 60) : ($day + ($job->alone->hours > 20 ? (int) ceil($job->alone->hours / 24) : 1)) * 1440;
            }
            unset($order[$index]);

            continue 2;
        }
        // Nothing can be begun now: wait a minute, at the end of the evening for the next.
        [$day, $minute] = $minute < 120 ? [$day, $minute + 1] : [$day + 1, 0];
    }

    return [max(array_map(static fn (int $one): int => intdiv($one, 1440), $ready)), $changes, count($days)];
}

it('finds the best of all orders of a small plan', function (int $from): void {
    for ($seed = $from; $seed < $from + 40; $seed++) {
        $jobs = drawnJobs($seed, 2 + $seed % 5);
        $sequencer = new Sequencer($jobs, new Calendar(Make::today(), 120, new WorkPlan));
        $best = null;
        foreach (everyOrder($jobs) as $order) {
            $worth = played($jobs, $order);
            $best = $best === null || $worth < $best ? $worth : $best;
        }
        expect($sequencer->timetable()->worth())->toBe($best, "seed {$seed}")->and($sequencer->isProved())->toBeTrue();
    }
})->with([1, 41, 81, 121]);

it('needs no more changes of tool than the best of all orders', function (): void {
    for ($seed = 500; $seed < 620; $seed++) {
        $jobs = drawnJobs($seed, 3 + $seed % 5);
        $changes = static fn (array $order): int => array_sum(array_map(
            static fn (int $nth): int => $nth > 0 && $jobs[$order[$nth]]->setup !== $jobs[$order[$nth - 1]]->setup ? 1 : 0, array_keys($order),
        ));
        $least = min(array_map($changes, iterator_to_array(everyOrder($jobs), false)));
        $found = new FewestChanges($jobs);
        expect($changes($found->order))->toBe($least, "seed {$seed}")->and($found->bound)->toBe($least, "seed {$seed}");
    }
});

it('keeps to every link, beats no bound, and finds nothing better by shuffling what it calls proved', function (): void {
    $proved = 0;
    for ($seed = 900; $seed < 980; $seed++) {
        $jobs = drawnJobs($seed, 8 + $seed % 60, 0.08);
        $sequencer = new Sequencer($jobs, new Calendar(Make::today(), 120, new WorkPlan));
        $order = array_column($sequencer->timetable()->placed, 'job');
        $place = array_flip($order);
        expect($order)->toHaveCount(count($jobs));
        foreach ($jobs as $at => $job) {
            foreach ($job->before as $before) {
                expect($place[$before])->toBeLessThan($place[$at], "seed {$seed}");
            }
        }
        // What is told was done when it is told: the same sums, played minute by minute.
        expect($sequencer->timetable()->worth())->toBe(played($jobs, $order), "seed {$seed}")
            ->and($sequencer->timetable()->finish)->toBeGreaterThanOrEqual($sequencer->bound()['finish'])
            ->and($sequencer->timetable()->evenings)->toBeGreaterThanOrEqual($sequencer->bound()['evenings'])
            ->and($sequencer->timetable()->changes)->toBeGreaterThanOrEqual($sequencer->bound()['changes']);
        $proved += $sequencer->isProved() ? 1 : 0;
    }
    expect($proved)->toBeGreaterThan(0);
});

it('leaves out what nobody can name a day for, and whatever waits for it, in whichever order they are looked at', function (): void {
    for ($seed = 2000; $seed < 2080; $seed++) {
        $jobs = array_map(
            static fn (Job $job, int $at): Job => $at % 5 === 2 ? new Job($job->id, $job->minutes, $job->setup, null, $job->before, $job->alone) : $job,
            drawnJobs($seed, 4 + $seed % 30, 0.1), array_keys(drawnJobs($seed, 4 + $seed % 30, 0.1)),
        );
        $timetable = (new Sequencer($jobs, new Calendar(Make::today(), 120, new WorkPlan)))->timetable();
        $waits = [];
        foreach ($jobs as $at => $job) {
            if ($job->earliest === null || array_intersect($job->before, $waits) !== []) {
                $waits[] = $at;
            }
        }
        expect($timetable->undated)->toEqualCanonicalizing($waits, "seed {$seed}")->and($timetable->placed)->toHaveCount(count($jobs) - count($waits));
    }
});

it('finds the shortest circle, against every walk', function (): void {
    for ($seed = 1; $seed <= 120; $seed++) {
        mt_srand($seed);
        $ids = array_map(static fn (int $one): string => "s{$one}", range(0, 6));
        $links = [];
        for ($i = 0; $i < 9; $i++) {
            [$from, $to] = [mt_rand(0, 6), mt_rand(0, 6)];
            if ($from !== $to) {
                $links["{$from} {$to}"] = new Link("s{$from}", "s{$to}", mt_rand(0, 1) === 0 ? LinkKind::Own : LinkKind::Needs, '');
            }
        }
        // Powers of the matrix of links: the first one with something on its diagonal is the length of the shortest circle.
        $shortest = null;
        $reach = array_map(static fn (string $id): array => [$id => true], array_combine($ids, $ids));
        for ($length = 1; $length <= 7 && $shortest === null; $length++) {
            $reach = array_map(static function (array $at) use ($links): array {
                $next = [];
                foreach ($links as $link) {
                    $next += isset($at[$link->from]) ? [$link->to => true] : [];
                }

                return $next;
            }, $reach);
            foreach ($ids as $id) {
                $shortest ??= isset($reach[$id][$id]) ? $length : null;
            }
        }
        $circle = Circle::shortest($ids, array_values($links));
        expect($circle === null ? null : count($circle->links))->toBe($shortest, "seed {$seed}");
        foreach ($circle->links ?? [] as $nth => $link) {
            expect($link->to)->toBe($circle->links[($nth + 1) % count($circle->links)]->from);
        }
    }
});
