<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/**
 * Lays pieces into the room one after another, each where what is to be least grows least: at the corners that those
 * before it leave (extreme points: T. G. Crainic, G. Perboli, R. Tadei, INFORMS J. Comput. 20, 2008), or pushed just
 * beyond what it would run into.
 *
 * @phpstan-import-type Point from Clearance
 */
final readonly class Builder
{
    /** How often a place that does not do is pushed on. */
    private const PUSHES = 2;

    private const MOST_POINTS = 400;

    private Clearance $clearance;

    public function __construct(private Task $task)
    {
        $this->clearance = new Clearance($task->gaps, $task->room);
    }

    /**
     * @param  list<int>  $order  of the pieces
     * @param  list<int>  $ways  the way each is laid, by piece
     * @param  Point  $frame
     * @return array{array<int, Point>, list<int>, Point} corners by piece, pieces that found no place, and how far it all goes
     */
    public function lay(array $order, array $ways, array $frame): array
    {
        $placed = [];
        $lost = [];
        $points = [[0.0, 0.0, 0.0]];
        $reach = [0.0, 0.0, 0.0];
        foreach ($order as $i) {
            $laid = $this->task->ways[$i][$ways[$i]];
            $at = $this->best($i, $laid, $placed, $ways, $points, $frame, $reach);
            if ($at === null) {
                $lost[] = $i;

                continue;
            }
            $placed[$i] = $at;
            foreach ([0, 1, 2] as $axis) {
                $reach[$axis] = max($reach[$axis], $at[$axis] + $laid->sides[$axis]);
            }
            $points = self::withCorners($points, $at, $laid->sides, $placed, $this->task, $ways);
        }

        return [$placed, $lost, $reach];
    }

    /**
     * @param  array<int, Point>  $placed
     * @param  list<int>  $ways
     * @param  Point  $at
     */
    public function mayLieAt(int $i, Orientation $laid, array $at, array $placed, array $ways): bool
    {
        return $this->blocker($i, $laid, $at, $placed, $ways) === null && $this->clearance->isClearOfRibs($laid, $at);
    }

    /**
     * @param  array<int, Point>  $placed
     * @param  list<int>  $ways
     * @param  list<Point>  $points
     * @param  Point  $frame
     * @param  Point  $reach
     * @return Point|null
     */
    private function best(int $i, Orientation $laid, array $placed, array $ways, array $points, array $frame, array $reach): ?array
    {
        [$low, $high] = self::bounds($laid, $frame);
        if ($high[0] < $low[0] - 1e-9 || $high[1] < $low[1] - 1e-9 || $high[2] < $low[2] - 1e-9) {
            return null;
        }
        $best = null;
        $least = INF;
        $seen = [];
        $queue = [];
        foreach ($points as $point) {
            $queue[] = [$point, 0];
        }
        for ($at = 0; $at < count($queue) && $at < self::MOST_POINTS; $at++) {
            [$point, $pushed] = $queue[$at];
            $point = [max($point[0], $low[0]), max($point[1], $low[1]), max($point[2], $low[2])];
            if ($point[0] > $high[0] + 1e-9 || $point[1] > $high[1] + 1e-9 || $point[2] > $high[2] + 1e-9) {
                continue;
            }
            $key = "{$point[0]} {$point[1]} {$point[2]}";
            if (isset($seen[$key])) {
                continue;
            }
            $seen[$key] = true;
            $score = $this->score($laid, $point, $reach);
            if ($score >= $least) {
                continue;
            }
            $blocker = $this->blocker($i, $laid, $point, $placed, $ways);
            if ($blocker === null && $this->clearance->isClearOfRibs($laid, $point)) {
                [$best, $least] = [$point, $score];
            } elseif ($blocker !== null && $pushed < self::PUSHES) {
                foreach ($this->pushed($i, $blocker, $point, $placed[$blocker], $this->task->ways[$blocker][$ways[$blocker]]) as $next) {
                    $queue[] = [$next, $pushed + 1];
                }
            } elseif ($blocker === null && $pushed < self::PUSHES) {
                foreach ($this->task->room->ribs as $rib) {
                    $queue[] = [[$rib->right(), $point[1], $point[2]], $pushed + 1];
                    $queue[] = [[$point[0], $rib->bottom(), $point[2]], $pushed + 1];
                    $queue[] = [[$point[0], $point[1], $rib->back()], $pushed + 1];
                }
            }
        }

        return $best;
    }

    /**
     * @param  Point  $frame
     * @return array{Point, Point}
     */
    public static function bounds(Orientation $laid, array $frame): array
    {
        $low = $laid->low;
        $high = $laid->high;
        foreach ([0, 1, 2] as $axis) {
            $end = $frame[$axis] - $laid->sides[$axis];
            $high[$axis] = min($high[$axis], $end);
            if ($laid->reaches[$axis] && $axis < 2) {
                $low[$axis] = max($low[$axis], $end);
            }
        }

        return [$low, $high];
    }

    /**
     * @param  array<int, Point>  $placed
     * @param  list<int>  $ways
     * @param  Point  $at
     */
    private function blocker(int $i, Orientation $laid, array $at, array $placed, array $ways): ?int
    {
        foreach ($placed as $j => $there) {
            if (! $this->clearance->areClear($i, $laid, $at, $j, $this->task->ways[$j][$ways[$j]], $there)) {
                return $j;
            }
        }

        return null;
    }

    /**
     * @param  Point  $at
     * @param  Point  $there
     * @return list<Point> just beyond what is in the way
     */
    private function pushed(int $i, int $j, array $at, array $there, Orientation $other): array
    {
        $gap = $this->task->gaps[$i][$j];
        $next = [];
        if (($gap->ways & Gap::X) > 0) {
            $next[] = [$there[0] + $other->sides[0] + $gap->besideMm, $at[1], $at[2]];
        }
        if (($gap->ways & Gap::Y) > 0) {
            $next[] = [$at[0], $there[1] + $other->sides[1] + $gap->besideMm, $at[2]];
        }
        if (($gap->ways & Gap::BEHIND) > 0) {
            $next[] = [$at[0], $at[1], $there[2] + $other->sides[2] + $gap->layerMm];
        }

        return $next;
    }

    /**
     * @param  Point  $at
     * @param  Point  $reach
     */
    private function score(Orientation $laid, array $at, array $reach): float
    {
        $x = max($reach[0], $at[0] + $laid->sides[0]);
        $y = max($reach[1], $at[1] + $laid->sides[1]);
        $z = max($reach[2], $at[2] + $laid->sides[2]);

        return $this->task->measure($x, $y, $z) * 1000 + ($at[2] + $laid->sides[2]) * 3 + ($at[0] + $at[1]) + ($x + $y) * 0.5;
    }

    /**
     * @param  list<Point>  $points
     * @param  Point  $at
     * @param  Point  $sides
     * @param  array<int, Point>  $placed
     * @param  list<int>  $ways
     * @return list<Point>
     */
    private static function withCorners(array $points, array $at, array $sides, array $placed, Task $task, array $ways): array
    {
        $beside = $task->spacing->besideMm;
        $layer = $task->spacing->layerMm;
        $x = $at[0] + $sides[0] + $beside;
        $y = $at[1] + $sides[1] + $beside;
        $z = $at[2] + $sides[2] + $layer;
        // Each new corner, and the same slid towards the walls until it meets something.
        $downX = $downY = $downZ = [0.0, 0.0];
        foreach ($placed as $j => $b) {
            $t = $task->ways[$j][$ways[$j]]->sides;
            $endX = $b[0] + $t[0] + $beside;
            $endY = $b[1] + $t[1] + $beside;
            $endZ = $b[2] + $t[2] + $layer;
            if ($endY <= $at[1] + 1e-9) {
                $downY = [
                    $b[0] < $x && $endX > $x && $b[2] < $at[2] + $sides[2] ? max($downY[0], $endY) : $downY[0],
                    $b[2] < $z && $endZ > $z ? max($downY[1], $endY) : $downY[1],
                ];
            }
            if ($endX <= $at[0] + 1e-9) {
                $downX = [
                    $b[1] < $y && $endY > $y && $b[2] < $at[2] + $sides[2] ? max($downX[0], $endX) : $downX[0],
                    $b[2] < $z && $endZ > $z ? max($downX[1], $endX) : $downX[1],
                ];
            }
            if ($endZ <= $at[2] + 1e-9) {
                $downZ = [$b[0] < $x && $endX > $x ? max($downZ[0], $endZ) : $downZ[0], $b[1] < $y && $endY > $y ? max($downZ[1], $endZ) : $downZ[1]];
            }
        }

        return [
            ...$points,
            [$x, $at[1], $at[2]], [$at[0], $y, $at[2]], [$at[0], $at[1], $z],
            [$x, $downY[0], $at[2]], [$x, $at[1], $downZ[0]], [$x, $downY[0], 0.0],
            [$downX[0], $y, $at[2]], [$at[0], $y, $downZ[1]], [$downX[0], $y, 0.0],
            [$downX[1], $at[1], $z], [$at[0], $downY[1], $z], [0.0, 0.0, $z],
        ];
    }
}
