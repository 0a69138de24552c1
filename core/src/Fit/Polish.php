<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Join;

/**
 * Moves the pieces of a finished arrangement about without making it any larger: controls to the hands, the picture to
 * the middle, what is joined by wires nearer to each other.
 *
 * @phpstan-import-type Point from Clearance
 */
final class Polish
{
    private const ROUNDS = 3;

    private Builder $builder;

    /** @var array<int, list<int>> by piece, those it is joined to */
    private array $joined = [];

    /** @var array<int, float> by piece, the share of the length at which a hand wants it */
    private array $wanted = [];

    /** @param  list<Join>  $joins */
    public function __construct(private readonly Task $task, array $joins)
    {
        $this->builder = new Builder($task);
        $first = [];
        foreach ($task->pieces as $i => $piece) {
            $first[$piece->line->id] ??= $i;
        }
        foreach ($joins as $join) {
            if (isset($first[$join->from], $first[$join->to]) && $join->from !== $join->to) {
                $this->joined[$first[$join->from]][] = $first[$join->to];
                $this->joined[$first[$join->to]][] = $first[$join->from];
            }
        }
        $this->wanted = self::sides($task->pieces);
    }

    /**
     * @param  array<int, Point>  $at
     * @param  list<int>  $ways
     * @param  Point  $reach  which stays as it is
     * @return array<int, Point>
     */
    public function polished(array $at, array $ways, array $reach): array
    {
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $moved = false;
            foreach (array_keys($at) as $i) {
                $better = $this->better($i, $at, $ways, $reach);
                if ($better !== null) {
                    $at[$i] = $better;
                    $moved = true;
                }
            }
            if (! $moved) {
                break;
            }
        }

        return $at;
    }

    /**
     * The same seen in a mirror, where that brings more of it under the right hand.
     *
     * @param  array<int, Point>  $at
     * @param  list<int>  $ways
     * @param  Point  $reach
     * @return array{array<int, Point>, list<int>}
     */
    public function mirrored(array $at, array $ways, array $reach): array
    {
        $other = [];
        $otherWays = $ways;
        [$now, $then] = [0.0, 0.0];
        foreach ($at as $i => $point) {
            $laid = $this->task->ways[$i][$ways[$i]];
            $mirrored = [$reach[0] - $point[0] - $laid->sides[0], $point[1], $point[2]];
            $way = $this->wayAt($i, $laid, $mirrored, $reach);
            if ($way === null || ! $laid->isOneBlock || $this->task->room->ribs !== []) {
                return [$at, $ways];
            }
            $other[$i] = $mirrored;
            $otherWays[$i] = $way;
            $now += $this->cost($i, $laid, $point, [], $ways, $reach);
            $then += $this->cost($i, $laid, $mirrored, [], $ways, $reach);
        }

        return $then < $now ? [$other, array_values($otherWays)] : [$at, $ways];
    }

    /**
     * A way of the same sides that may lie there: what has its socket at the right has it at the left in a mirror.
     *
     * @param  Point  $at
     * @param  Point  $reach
     */
    private function wayAt(int $i, Orientation $like, array $at, array $reach): ?int
    {
        foreach ($this->task->ways[$i] as $way => $laid) {
            [$low, $high] = Builder::bounds($laid, $reach);
            if ($laid->sides === $like->sides && $at[0] >= $low[0] - 1e-6 && $at[0] <= $high[0] + 1e-6
                && $at[1] >= $low[1] - 1e-6 && $at[1] <= $high[1] + 1e-6 && $at[2] >= $low[2] - 1e-6 && $at[2] <= $high[2] + 1e-6) {
                return $way;
            }
        }

        return null;
    }

    /**
     * What stands for no reason lies down where there is room for it.
     *
     * @param  array<int, Point>  $at
     * @param  list<int>  $ways
     * @param  Point  $reach
     * @return array{array<int, Point>, list<int>}
     */
    public function laidFlat(array $at, array $ways, array $reach): array
    {
        foreach ($at as $i => $point) {
            $best = $ways[$i];
            foreach ($this->task->ways[$i] as $way => $laid) {
                if ($laid->sides[2] < $this->task->ways[$i][$best]->sides[2] - 0.5) {
                    $place = $this->anywhere($i, $laid, $point, array_diff_key($at, [$i => true]), $ways, $reach);
                    if ($place !== null) {
                        [$best, $at[$i]] = [$way, $place];
                    }
                }
            }
            $ways[$i] = $best;
            $ways = array_values($ways);
        }

        return [$at, $ways];
    }

    /**
     * @param  Point  $now
     * @param  array<int, Point>  $others
     * @param  list<int>  $ways
     * @param  Point  $reach
     * @return Point|null
     */
    private function anywhere(int $i, Orientation $laid, array $now, array $others, array $ways, array $reach): ?array
    {
        [$low, $high] = Builder::bounds($laid, $reach);
        if ($low[0] > $high[0] + 1e-9 || $low[1] > $high[1] + 1e-9 || $low[2] > $high[2] + 1e-9) {
            return null;
        }
        foreach (array_unique([$low[2], min($high[2], $now[2]), $high[2]]) as $z) {
            foreach ($this->stops($i, 0, $laid, $others, $ways, $low, $high) as $x) {
                foreach ($this->stops($i, 1, $laid, $others, $ways, $low, $high) as $y) {
                    if ($this->builder->mayLieAt($i, $laid, [$x, $y, $z], $others, $ways)) {
                        return [$x, $y, $z];
                    }
                }
            }
        }

        return null;
    }

    /**
     * @param  list<Piece>  $pieces
     * @return array<int, float> shares of the length: directions to the left thumb, buttons to the right
     */
    private static function sides(array $pieces): array
    {
        $wanted = [];
        $sticks = 0;
        foreach ($pieces as $i => $piece) {
            $controls = $piece->isControl ? $piece->line->part->controls : null;
            if ($piece->isPanel) {
                $wanted[$i] = 0.5;
            } elseif ($controls !== null) {
                $wanted[$i] = match (true) {
                    $controls->dPads > 0 && $controls->buttons > 2 => 0.5,
                    $controls->dPads > 0 => 0.0,
                    $controls->sticks > 0 => $sticks++ % 2 === 0 ? 0.0 : 1.0,
                    default => 1.0,
                };
            }
        }

        return $wanted;
    }

    /**
     * @param  array<int, Point>  $at
     * @param  list<int>  $ways
     * @param  Point  $reach
     * @return Point|null
     */
    private function better(int $i, array $at, array $ways, array $reach): ?array
    {
        if (! isset($this->wanted[$i]) && ! isset($this->joined[$i])) {
            return null;
        }
        $laid = $this->task->ways[$i][$ways[$i]];
        [$low, $high] = Builder::bounds($laid, $reach);
        $others = array_diff_key($at, [$i => true]);
        $now = $this->cost($i, $laid, $at[$i], $others, $ways, $reach) - 0.5;
        $best = null;
        $places = [];
        foreach ([0, 1] as $axis) {
            foreach ($this->stops($i, $axis, $laid, $others, $ways, $low, $high) as $stop) {
                $place = $at[$i];
                $place[$axis] = $stop;
                $places[] = $place;
            }
        }
        $middle = [($low[0] + $high[0]) / 2, ($low[1] + $high[1]) / 2];
        $side = $low[0] + ($high[0] - $low[0]) * ($this->wanted[$i] ?? 0.5);
        $places[] = [$side, $middle[1], $at[$i][2]];
        $places[] = [$side, $high[1], $at[$i][2]];
        $places[] = [$side, $low[1], $at[$i][2]];
        foreach ($places as $place) {
            $cost = $this->cost($i, $laid, $place, $others, $ways, $reach);
            if ($cost < $now && $this->builder->mayLieAt($i, $laid, $place, $others, $ways)) {
                [$best, $now] = [$place, $cost];
            }
        }

        return $best;
    }

    /**
     * Where it would touch a wall or a neighbour, or stand in the middle.
     *
     * @param  array<int, Point>  $others
     * @param  list<int>  $ways
     * @param  Point  $low
     * @param  Point  $high
     * @return list<float>
     */
    private function stops(int $i, int $axis, Orientation $laid, array $others, array $ways, array $low, array $high): array
    {
        $stops = [$low[$axis], $high[$axis], ($low[$axis] + $high[$axis]) / 2];
        foreach ($others as $j => $point) {
            $gap = $this->task->gaps[$i][$j]->besideMm;
            $stops[] = $point[$axis] + $this->task->ways[$j][$ways[$j]]->sides[$axis] + $gap;
            $stops[] = $point[$axis] - $laid->sides[$axis] - $gap;
        }

        return array_values(array_filter(array_unique($stops), static fn (float $stop): bool => $stop >= $low[$axis] - 1e-9 && $stop <= $high[$axis] + 1e-9));
    }

    /**
     * @param  Point  $at
     * @param  array<int, Point>  $others
     * @param  list<int>  $ways
     * @param  Point  $reach
     */
    private function cost(int $i, Orientation $laid, array $at, array $others, array $ways, array $reach): float
    {
        $cost = 0.0;
        if (isset($this->wanted[$i])) {
            $side = (0.5 + ($this->wanted[$i] - 0.5) * 0.75) * $reach[0];
            $cost += 2 * abs($at[0] + $laid->sides[0] / 2 - $side) + abs($at[1] + $laid->sides[1] / 2 - $reach[1] / 2);
        }
        foreach ($this->joined[$i] ?? [] as $j) {
            if (isset($others[$j])) {
                $other = $this->task->ways[$j][$ways[$j]]->sides;
                foreach ([0, 1, 2] as $axis) {
                    $cost += 0.3 * abs($at[$axis] + $laid->sides[$axis] / 2 - $others[$j][$axis] - $other[$axis] / 2);
                }
            }
        }

        return $cost;
    }
}
