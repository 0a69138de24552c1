<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

/**
 * Branch and bound: vendor by vendor it is decided whether one is ordered from and on which terms, always going on where the
 * least is still possible. Where all vendors are decided, the demands are shared out among them within what their terms allow.
 * Sums are whole hundredths, so that what is found equal is equal.
 *
 * @phpstan-type Option array{vendor: int, goods: int, grams: int, costs: array{int, int}, choice: Choice}
 */
final class BasketSearch
{
    /** So many demands times vendors are always gone through to the end. */
    private const SMALL = 40 * 8;

    /** Demands looked at, over all steps, after which the best found is told with its distance from the bound: some two seconds. */
    private const MOST_LOOKS = 900_000;

    /** The same for what is small; it has never come near. */
    private const MOST_LOOKS_SMALL = 60_000_000;

    /** @var list<string> */
    private array $names;

    /** @var list<list<Terms>> by vendor */
    private array $terms;

    /** @var list<list<Option>> by demand */
    private array $options;

    /** @var list<Option>|null the cheapest way that was found, an option a demand */
    private ?array $best = null;

    private int $bestCost = PHP_INT_MAX;

    private int $steps = 0;

    private int $mostSteps;

    /**
     * @param  list<non-empty-list<Choice>>  $choices  by demand
     * @param  array<string, list<Terms>>  $terms  by vendor
     * @param  ?int  $mostParcels  orders that there may be
     */
    public function __construct(array $choices, array $terms, private readonly ?int $mostParcels)
    {
        $used = [];
        foreach ($choices as $of) {
            foreach ($of as $choice) {
                $used[$choice->offer->vendor] = true;
            }
        }
        $terms = array_intersect_key($terms, $used);
        $this->names = array_map(strval(...), array_keys($terms));
        $at = array_flip($this->names);
        $this->options = array_map(static fn (array $of): array => array_map(static fn (Choice $one): array => [
            'vendor' => $at[$one->offer->vendor],
            'goods' => $one->goods,
            'grams' => $one->grams,
            'costs' => [$one->cost(false), $one->cost(true)],
            'choice' => $one,
        ], $of), $choices);
        $this->terms = $this->reachable(array_values($terms));
        $isSmall = count($choices) * count($this->names) <= self::SMALL;
        $this->mostSteps = intdiv($isSmall ? self::MOST_LOOKS_SMALL : self::MOST_LOOKS, count($choices));
    }

    /** @return array{list<Choice>|null, array<string, Terms>, int} what is taken, the terms by vendor, and what no plan can be below */
    public function run(): array
    {
        /** @var \SplPriorityQueue<int, array{int, array<int, int>, ?int}> $open */
        $open = new \SplPriorityQueue;
        $bound = $this->look(array_map(static fn (): int => -1, $this->names), $open, true);
        while (! $open->isEmpty() && $this->steps <= $this->mostSteps) {
            [$cost, $decided, $next] = self::node($open->extract());
            $bound = min($cost, $this->bestCost);
            if ($cost >= $this->bestCost) {
                break;
            }
            $next === null ? $this->share($decided) : $this->branch($decided, $next, $open);
        }
        $isThrough = $this->steps <= $this->mostSteps;
        $bound = $isThrough && $this->best !== null ? $this->bestCost : $bound;
        if ($this->best === null) {
            return [null, [], $bound];
        }

        return [array_map(static fn (array $one): Choice => $one['choice'], $this->best), $this->termsOf($this->best) ?? [], $bound];
    }

    /**
     * The terms by vendor of an assignment, the cheapest ones that allow it; null when there are none.
     *
     * @param  list<Option>  $taken
     * @return array<string, Terms>|null
     */
    private function termsOf(array $taken): ?array
    {
        $by = [];
        foreach ($taken as $one) {
            $by[$one['vendor']][] = $one;
        }
        if ($this->mostParcels !== null && count($by) > $this->mostParcels) {
            return null;
        }
        $terms = [];
        foreach ($by as $vendor => $own) {
            $best = $this->cheapestTerms($vendor, $own);
            if ($best === null) {
                return null;
            }
            $terms[$this->names[$vendor]] = $best[0];
        }

        return $terms;
    }

    /**
     * @param  list<Option>  $own
     * @return array{Terms, int}|null with what the order then costs
     */
    private function cheapestTerms(int $vendor, array $own): ?array
    {
        $goods = array_sum(array_column($own, 'goods'));
        $grams = array_sum(array_column($own, 'grams'));
        $best = null;
        foreach ($this->terms[$vendor] as $terms) {
            if ($terms->allows($goods, $grams)) {
                $cost = $terms->fixed();
                foreach ($own as $one) {
                    $cost += $one['costs'][$terms->dutiable ? 1 : 0];
                }
                if ($best === null || $cost < $best[1]) {
                    $best = [$terms, $cost];
                }
            }
        }

        return $best;
    }

    /** @param  list<Option>  $taken  offered as the cheapest way so far */
    private function offer(array $taken): void
    {
        $by = [];
        foreach ($taken as $one) {
            $by[$one['vendor']][] = $one;
        }
        if ($this->mostParcels !== null && count($by) > $this->mostParcels) {
            return;
        }
        $cost = 0;
        foreach ($by as $vendor => $own) {
            $best = $this->cheapestTerms($vendor, $own);
            $cost += $best === null ? $this->bestCost : $best[1];
            if ($cost >= $this->bestCost) {
                return;
            }
        }
        [$this->best, $this->bestCost] = [$taken, $cost];
    }

    /**
     * Terms that some order can meet: where all that is wanted would not reach the sum for free post, there is none.
     *
     * @param  list<list<Terms>>  $terms
     * @return list<list<Terms>>
     */
    private function reachable(array $terms): array
    {
        return array_map(function (int $vendor) use ($terms): array {
            $most = 0;
            foreach ($this->options as $options) {
                $own = array_column(array_filter($options, static fn (array $one): bool => $one['vendor'] === $vendor), 'goods');
                $most += $own === [] ? 0 : max($own);
            }

            return array_values(array_filter($terms[$vendor], static fn (Terms $one): bool => $one->goodsLeast <= $most));
        }, array_keys($terms));
    }

    /**
     * Puts a node into the queue, unless it cannot be better than what is found.
     *
     * @param  array<int, int>  $decided  by vendor: -1 open, -2 not ordered from, else which terms
     * @param  \SplPriorityQueue<int, array{int, array<int, int>, ?int}>  $open
     * @return int what nothing below this node can be below
     */
    private function look(array $decided, \SplPriorityQueue $open, bool $isRoot = false): int
    {
        $this->steps++;
        $relaxed = $this->relaxed($decided);
        if ($relaxed === null) {
            return PHP_INT_MAX;
        }
        [$bound, $taken] = $relaxed;
        if ($bound >= $this->bestCost) {
            return $bound;
        }
        $this->offer($taken);
        if ($isRoot) {
            $this->improve($taken);
        }
        $open->insert([$bound, $decided, self::next($decided, $taken)], -$bound);

        return $bound;
    }

    /**
     * @param  array<int, int>  $decided
     * @param  \SplPriorityQueue<int, array{int, array<int, int>, ?int}>  $open
     */
    private function branch(array $decided, int $vendor, \SplPriorityQueue $open): void
    {
        $present = count(array_filter($decided, static fn (int $one): bool => $one >= 0));
        foreach ([-2, ...array_keys($this->terms[$vendor])] as $way) {
            if ($way < 0 || $this->mostParcels === null || $present < $this->mostParcels) {
                $this->look(array_replace($decided, [$vendor => $way]), $open);
            }
        }
    }

    /**
     * The open vendor on whom most rests: the one most demands would go to.
     *
     * @param  array<int, int>  $decided
     * @param  list<Option>  $taken
     * @return ?int null when all are decided
     */
    private static function next(array $decided, array $taken): ?int
    {
        $count = array_count_values(array_column($taken, 'vendor'));
        $best = null;
        foreach ($decided as $vendor => $way) {
            if ($way === -1 && ($best === null || ($count[$vendor] ?? 0) > ($count[$best] ?? 0))) {
                $best = $vendor;
            }
        }

        return $best;
    }

    /**
     * Each demand where it costs least, whatever the terms allow; what open vendors ask for post is shared out among the
     * demands as far as it must be paid (the dual of locating facilities, raised step by step).
     *
     * @param  array<int, int>  $decided
     * @return array{int, list<Option>}|null the bound and the assignment; null when somebody sells nothing that is wanted
     */
    private function relaxed(array $decided): ?array
    {
        $bound = 0;
        $slack = [];
        foreach ($decided as $vendor => $way) {
            $bound += $way >= 0 ? $this->terms[$vendor][$way]->fixed() : 0;
            $slack[$vendor] = $way === -1 ? $this->leastFixed($vendor) : ($way === -2 ? -1 : 0);
        }
        $taken = $costs = [];
        foreach ($this->options as $demand => $options) {
            $best = null;
            foreach ($options as $option) {
                $way = $decided[$option['vendor']];
                if ($way === -2) {
                    continue;
                }
                $cost = $option['costs'][$way >= 0 && $this->terms[$option['vendor']][$way]->dutiable ? 1 : 0];
                $costs[$demand][$option['vendor']] = min($costs[$demand][$option['vendor']] ?? PHP_INT_MAX, $cost);
                if ($best === null || $cost < $best[0]) {
                    $best = [$cost, $option];
                }
            }
            if ($best === null) {
                return null;
            }
            $taken[] = $best[1];
        }

        return [$bound + $this->raised($costs, $slack), $taken];
    }

    private function leastFixed(int $vendor): int
    {
        return $this->terms[$vendor] === [] ? 0 : $this->terms[$vendor][0]->fixed();
    }

    /**
     * What the demands have to pay at least: each begins at its cheapest vendor, and is raised to the next dearer one as long as
     * the post of those in between is not paid.
     *
     * @param  array<int, non-empty-array<int, int>>  $costs  by demand, the least at each vendor
     * @param  array<int, int>  $slack  by vendor, post that nobody has paid yet
     */
    private function raised(array $costs, array $slack): int
    {
        $sum = 0;
        foreach ($costs as $at => $own) {
            asort($own);
            $costs[$at] = $own;
        }
        // Those with the least choice first: they cannot go elsewhere.
        uasort($costs, static fn (array $a, array $b): int => count($a) <=> count($b));
        foreach ($costs as $own) {
            $vendors = array_keys($own);
            $value = $own[$vendors[0]];
            $below = [];
            foreach ($vendors as $rank => $vendor) {
                $below[] = $vendor;
                $room = min(array_map(static fn (int $one): int => $slack[$one], $below));
                $ceiling = isset($vendors[$rank + 1]) ? $own[$vendors[$rank + 1]] - $value : $room;
                $by = max(0, min($room, $ceiling));
                foreach ($below as $one) {
                    $slack[$one] -= $by;
                }
                $value += $by;
                if ($by < $ceiling || $room === 0) {
                    break;
                }
            }
            $sum += $value;
        }

        return $sum;
    }

    /**
     * Moves one demand after the other as long as that is cheaper: a good first plan cuts most of the search off.
     *
     * @param  list<Option>  $taken
     */
    private function improve(array $taken): void
    {
        do {
            $before = $this->bestCost;
            foreach ($this->options as $demand => $options) {
                foreach ($options as $option) {
                    $this->offer(self::with($this->best ?? $taken, $demand, $option));
                }
            }
            foreach (array_keys($this->names) as $vendor) {
                $this->offer($this->allAt($vendor, $this->best ?? $taken));
            }
        } while ($this->bestCost < $before);
    }

    /**
     * @param  list<Option>  $taken
     * @param  Option  $option
     * @return list<Option>
     */
    private static function with(array $taken, int $demand, array $option): array
    {
        $taken[$demand] = $option;

        return $taken;
    }

    /**
     * @param  list<Option>  $taken
     * @return list<Option> with all that this vendor sells bought there
     */
    private function allAt(int $vendor, array $taken): array
    {
        foreach ($this->options as $demand => $options) {
            $own = array_filter($options, static fn (array $one): bool => $one['vendor'] === $vendor);
            usort($own, static fn (array $a, array $b): int => $a['costs'][0] <=> $b['costs'][0]);
            $taken[$demand] = $own[0] ?? $taken[$demand];
        }

        return $taken;
    }

    /**
     * All vendors are decided: the demands are shared out among them, within what their terms allow.
     *
     * @param  array<int, int>  $decided
     */
    private function share(array $decided): void
    {
        $terms = $fixed = [];
        foreach ($decided as $vendor => $way) {
            if ($way >= 0) {
                $terms[$vendor] = $this->terms[$vendor][$way];
                $fixed[] = $terms[$vendor]->fixed();
            }
        }
        $sharing = new BasketSharing($this->options, $terms, $this->bestCost - array_sum($fixed), $this->mostSteps - $this->steps);
        $found = $sharing->run();
        $this->steps += $sharing->steps();
        if ($found !== null) {
            $this->offer($found);
        }
    }

    /** @return array{int, array<int, int>, ?int} */
    private static function node(mixed $extracted): array
    {
        /** @var array{int, array<int, int>, ?int} $extracted */
        return $extracted;
    }
}
