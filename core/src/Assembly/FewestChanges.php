<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

/**
 * The order of steps with the fewest changes of tool, time left aside. Once the bench is set up for something, doing
 * all of it that can be done never costs a change; so only the next setup is a choice, and what is done is a state.
 * The search goes by the bound (runs that a chain of steps still needs, setups that are still to come) and is exact
 * unless it takes more than a bounded number of states.
 */
final class FewestChanges
{
    private const MOST_STATES = 400;

    /** Steps that fit the bits of a number. */
    private const MOST_STEPS = 62;

    /** @var list<int> */
    public array $order = [];

    /** Changes that any order has at least. */
    public int $bound = 0;

    /** @var array<string, list<int>> places by setup, each after those before it */
    private array $of = [];

    /** @var array<int, int> by place, runs of one setup that a chain beginning with the step needs */
    private array $runs = [];

    /** @param  list<Job>  $jobs  each after those before it */
    public function __construct(private readonly array $jobs)
    {
        for ($at = count($jobs) - 1; $at >= 0; $at--) {
            $this->runs[$at] ??= 1;
            foreach ($jobs[$at]->before as $before) {
                $this->runs[$before] = max($this->runs[$before] ?? 1, $this->runs[$at] + ($jobs[$at]->setup === $jobs[$before]->setup ? 0 : 1));
            }
        }
        foreach ($jobs as $at => $job) {
            $this->of[$job->setup->value][] = $at;
        }
        if ($jobs === []) {
            return;
        }
        $this->bound = max(1, ...$this->runs, ...[count($this->of)]) - 1;
        count($jobs) <= self::MOST_STEPS ? $this->search() : $this->order = $this->greedily([], array_fill(0, count($jobs), false));
    }

    private function search(): void
    {
        $masks = array_map(static fn (Job $job): int => array_reduce($job->before, static fn (int $mask, int $at): int => $mask | 1 << $at, 0), $this->jobs);
        $all = (1 << count($this->jobs)) - 1;
        $least = $this->atLeast(0);
        /** @var array<int, list<array{int, list<string>}>> $open what is done and the setups so far, by the runs it takes at least */
        $open = [$least => [[0, []]]];
        $best = [0 => 0];
        for ($states = 0; ; $states++) {
            while (($open[$least] ?? []) === []) {
                $least++;
            }
            /** @var array{int, list<string>} $state */
            $state = array_pop($open[$least]);
            [$done, $runs] = $state;
            if ($done === $all || $states > self::MOST_STATES) {
                $this->bound = max($this->bound, $least - 1);
                $this->order = $this->played($runs, $masks);

                return;
            }
            foreach ($this->of as $setup => $places) {
                $next = $done;
                foreach ($places as $at) {
                    if (($next & 1 << $at) === 0 && ($masks[$at] & ~$next) === 0) {
                        $next |= 1 << $at;
                    }
                }
                $cost = count($runs) + 1;
                if ($next !== $done && ($best[$next] ?? PHP_INT_MAX) > $cost) {
                    $best[$next] = $cost;
                    $open[$cost + $this->atLeast($next)][] = [$next, [...$runs, $setup]];
                }
            }
        }
    }

    /** Runs that what is left needs at least. */
    private function atLeast(int $done): int
    {
        $most = 0;
        $setups = [];
        foreach ($this->jobs as $at => $job) {
            if (($done & 1 << $at) === 0) {
                $most = max($most, $this->runs[$at]);
                $setups[$job->setup->value] = true;
            }
        }

        return max($most, count($setups));
    }

    /**
     * @param  list<string>  $runs  setups, one after the other
     * @param  list<int>  $masks
     * @return list<int> the steps in the order of these runs; what they do not reach follows as it comes
     */
    private function played(array $runs, array $masks): array
    {
        $order = [];
        $done = 0;
        foreach ($runs as $setup) {
            foreach ($this->of[$setup] as $at) {
                if (($done & 1 << $at) === 0 && ($masks[$at] & ~$done) === 0) {
                    $done |= 1 << $at;
                    $order[] = $at;
                }
            }
        }
        $isDone = [];
        foreach (array_keys($this->jobs) as $at) {
            $isDone[] = ($done & 1 << $at) !== 0;
        }

        return $this->greedily($order, $isDone);
    }

    /**
     * @param  list<int>  $order
     * @param  list<bool>  $done
     * @return list<int> stays with a setup as long as it can, then takes the one that the longest chain waits for
     */
    private function greedily(array $order, array $done): array
    {
        $canBegin = function (int $at) use (&$done): bool {
            foreach ($done[$at] ? [] : $this->jobs[$at]->before as $before) {
                if (! $done[$before]) {
                    return false;
                }
            }

            return ! $done[$at];
        };
        while (count($order) < count($this->jobs)) {
            $best = null;
            foreach (array_keys($this->jobs) as $at) {
                if ($canBegin($at) && ($best === null || $this->runs[$at] > $this->runs[$best])) {
                    $best = $at;
                }
            }
            $setup = $this->jobs[$best ?? 0]->setup->value;
            foreach ($this->of[$setup] as $at) {
                if ($canBegin($at)) {
                    $done[$at] = true;
                    $order[] = $at;
                }
            }
        }

        return $order;
    }
}
