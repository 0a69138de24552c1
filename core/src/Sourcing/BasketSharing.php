<?php

declare(strict_types=1);

namespace PocketPlot\Sourcing;

/**
 * Shares demands out among vendors whose terms are settled, for least: the goods of each have to reach the sum, or stay below the
 * sum or the weight, that its terms speak of.
 *
 * @phpstan-import-type Option from BasketSearch
 */
final class BasketSharing
{
    /** @var list<list<array{int, Option}>> by demand, cost and option, the cheapest first; those that lose most by a second choice come first */
    private array $ways = [];

    /** @var list<int> by demand in that order, where it stands among the demands */
    private array $places = [];

    /** @var array<int, int> what the demands from here on cost at least */
    private array $rest = [];

    /** @var array<int, array<int, int>> by demand from here on, for each vendor the most goods it can still get */
    private array $reach = [];

    /** @var list<Option>|null */
    private ?array $best = null;

    private int $steps = 0;

    /**
     * @param  list<list<Option>>  $options  by demand
     * @param  array<int, Terms>  $terms  by vendor; the others are not ordered from
     * @param  int  $below  what the goods have to stay below, to be of use
     */
    public function __construct(array $options, private readonly array $terms, private int $below, private readonly int $mostSteps)
    {
        foreach ($options as $place => $of) {
            $ways = [];
            foreach ($of as $option) {
                if (isset($terms[$option['vendor']])) {
                    $ways[] = [$option['costs'][$terms[$option['vendor']]->dutiable ? 1 : 0], $option];
                }
            }
            usort($ways, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
            $this->ways[] = $ways;
            $this->places[] = $place;
        }
        $regret = array_map(static fn (array $ways): int => isset($ways[1]) ? $ways[1][0] - $ways[0][0] : PHP_INT_MAX, $this->ways);
        array_multisort($regret, SORT_DESC, $this->places, $keys = array_keys($this->ways));
        $this->ways = array_map(fn (int $place): array => $this->ways[$place], $this->places);
        $this->reckonRest();
    }

    /** @return list<Option>|null an option a demand, in the order of the demands; null when nothing below the limit is allowed */
    public function run(): ?array
    {
        if (! in_array([], $this->ways, true)) {
            $this->go(0, 0, array_map(static fn (): array => [0, 0], $this->terms), []);
        }

        return $this->best;
    }

    public function steps(): int
    {
        return $this->steps;
    }

    private function reckonRest(): void
    {
        $this->rest = array_fill(0, count($this->ways) + 1, 0);
        $this->reach = array_fill(0, count($this->ways) + 1, array_map(static fn (): int => 0, $this->terms));
        for ($at = count($this->ways) - 1; $at >= 0; $at--) {
            $this->rest[$at] = $this->rest[$at + 1] + ($this->ways[$at][0][0] ?? 0);
            $reach = $this->reach[$at + 1];
            foreach (array_keys($this->terms) as $vendor) {
                $own = array_column(array_filter(array_column($this->ways[$at], 1), static fn (array $one): bool => $one['vendor'] === $vendor), 'goods');
                $reach[$vendor] += $own === [] ? 0 : max($own);
            }
            $this->reach[$at] = $reach;
        }
    }

    /**
     * @param  array<int, array{int, int}>  $filled  by vendor, goods and grams so far
     * @param  list<Option>  $taken
     */
    private function go(int $at, int $cost, array $filled, array $taken): void
    {
        if (++$this->steps > $this->mostSteps || ! $this->canStill($at, $cost, $filled)) {
            return;
        }
        if ($at === count($this->ways)) {
            $ordered = [];
            foreach ($this->places as $rank => $place) {
                $ordered[$place] = $taken[$rank];
            }
            ksort($ordered);
            [$this->best, $this->below] = [array_values($ordered), $cost];

            return;
        }
        foreach ($this->ways[$at] as [$costs, $option]) {
            $vendor = $option['vendor'];
            $next = $filled;
            $next[$vendor] = [$filled[$vendor][0] + $option['goods'], $filled[$vendor][1] + $option['grams']];
            $this->go($at + 1, $cost + $costs, $next, [...$taken, $option]);
        }
    }

    /**
     * Whether something better can still come of it: the sums can be reached, are not passed, and what it takes to reach them is not too dear.
     *
     * @param  array<int, array{int, int}>  $filled
     */
    private function canStill(int $at, int $cost, array $filled): bool
    {
        $least = $cost + $this->rest[$at];
        if ($least >= $this->below) {
            return false;
        }
        foreach ($this->terms as $vendor => $terms) {
            [$goods, $grams] = $filled[$vendor];
            $isOver = ($terms->goodsMost !== null && $goods > $terms->goodsMost) || ($terms->gramsMost !== null && $grams > $terms->gramsMost);
            if ($isOver || $goods + $this->reach[$at][$vendor] < $terms->goodsLeast) {
                return false;
            }
            if ($goods < $terms->goodsLeast && $least + $this->dearness($at, $vendor, $terms->goodsLeast - $goods) >= $this->below) {
                return false;
            }
        }

        return true;
    }

    /**
     * What it costs more, at least, to bring so much more goods to a vendor than the cheapest way does: the best shares first, the last one in part.
     *
     * @return int whole hundredths, rounded down
     */
    private function dearness(int $at, int $vendor, int $wanted): int
    {
        $shares = [];
        for ($next = $at; $next < count($this->ways); $next++) {
            foreach ($this->ways[$next] as [$cost, $option]) {
                if ($option['vendor'] === $vendor) {
                    $more = $cost - $this->ways[$next][0][0];
                    if ($more === 0) {
                        $wanted -= $option['goods'];
                    } else {
                        $shares[] = [$more / max(1, $option['goods']), $option['goods'], $more];
                    }
                }
            }
        }
        usort($shares, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $dear = 0.0;
        foreach ($shares as [, $goods, $more]) {
            if ($wanted <= 0) {
                break;
            }
            $dear += $more * min(1.0, $wanted / max(1, $goods));
            $wanted -= $goods;
        }

        return (int) floor($dear + 1e-6);
    }
}
