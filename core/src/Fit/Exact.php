<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/**
 * The best of all arrangements of a few pieces. Piece after piece is turned each way it may be; wherever two of them run
 * into each other, one of the six ways of parting them is decided, and each piece is pushed as far to the left, up and
 * to the face as what was decided lets it. An arrangement that is best can be pushed so, too, so that none is missed.
 *
 * @phpstan-import-type Point from Clearance
 */
final class Exact
{
    /** Pieces beyond which nobody would wait for it. */
    public const MOST_PIECES = 6;

    private const STEP_MM = 1e-6;

    private Clearance $clearance;

    private float $best;

    private int $nodes = 0;

    private bool $isComplete = true;

    /** @var array{array<int, Point>, list<int>}|null */
    private ?array $found = null;

    /** @var list<int> */
    private array $order;

    /** @var array<int, int> the way each is laid */
    private array $ways = [];

    /** @param  callable(): bool  $goOn */
    private function __construct(private readonly Task $task, float $best, private $goOn)
    {
        $this->clearance = new Clearance($task->gaps, $task->room);
        $this->best = $best;
        $this->order = array_keys($task->pieces);
        usort($this->order, fn (int $a, int $b): int => $task->ways[$b][0]->volumeMm3() <=> $task->ways[$a][0]->volumeMm3());
    }

    /**
     * @param  float  $best  what is to be beaten, in the unit of Task::measure()
     * @param  callable(): bool  $goOn
     * @return array{array{array<int, Point>, list<int>}|null, bool} corners and ways where it was beaten, and whether all were tried
     */
    public static function solve(Task $task, float $best, callable $goOn): array
    {
        $search = new self($task, $best, $goOn);
        $search->turn(0, []);

        return [$search->found, $search->isComplete];
    }

    /** @param  list<array{0|1|2, int, int, float}>  $links  axis, from, to (-1 for a fixed thing), millimetres */
    private function turn(int $depth, array $links): void
    {
        if ($depth === count($this->order)) {
            $this->keep($this->pushed($links));

            return;
        }
        $i = $this->order[$depth];
        foreach (array_keys($this->task->ways[$i]) as $way) {
            $this->ways[$i] = $way;
            $this->part($depth + 1, $links);
        }
        unset($this->ways[$i]);
    }

    /** @param  list<array{0|1|2, int, int, float}>  $links */
    private function part(int $depth, array $links): void
    {
        if (! $this->isComplete || (++$this->nodes % 512 === 0 && ! ($this->goOn)())) {
            $this->isComplete = false;

            return;
        }
        $at = $this->pushed($links);
        if ($at === null || $this->measure($at) >= $this->best - self::STEP_MM) {
            return;
        }
        $meeting = $this->meeting($at);
        if ($meeting === []) {
            $this->turn($depth, $links);

            return;
        }
        foreach ($meeting as $link) {
            $this->part($depth, [...$links, $link]);
        }
    }

    /**
     * The ways of parting the first two blocks that run into each other; empty when all lie clear.
     *
     * @param  array<int, Point>  $at
     * @return list<array{0|1|2, int, int, float}>
     */
    private function meeting(array $at): array
    {
        $done = array_keys($at);
        foreach ($done as $n => $j) {
            $one = $this->orientation($j);
            if (! $this->clearance->isClearOfRibs($one, $at[$j])) {
                return $this->besideRib($j, $one, $at[$j]);
            }
            for ($m = 0; $m < $n; $m++) {
                $i = $done[$m];
                if (! $this->clearance->areClear($i, $this->orientation($i), $at[$i], $j, $one, $at[$j])) {
                    return $this->partings($i, $j, $at);
                }
            }
        }

        return [];
    }

    /**
     * @param  array<int, Point>  $at
     * @return list<array{0|1|2, int, int, float}>
     */
    private function partings(int $i, int $j, array $at): array
    {
        [$one, $other] = [$this->orientation($i), $this->orientation($j)];
        $gap = $this->task->gaps[$i][$j];
        foreach ([
            [$one->solid, $other->solid, $gap],
            [$one->free, $other->solid, new Gap(0.0, 0.0)],
            [$one->solid, $other->free, new Gap(0.0, 0.0)],
        ] as [$ps, $qs, $wanted]) {
            foreach ($ps as $p) {
                foreach ($qs as $q) {
                    $links = self::apart($i, $p, $at[$i], $j, $q, $at[$j], $wanted);
                    if ($links !== null) {
                        return $links;
                    }
                }
            }
        }

        return [];
    }

    /**
     * Null when the two blocks are apart as it is.
     *
     * @param  array{float, float, float, float, float, float}  $p
     * @param  Point  $a
     * @param  array{float, float, float, float, float, float}  $q
     * @param  Point  $b
     * @return list<array{0|1|2, int, int, float}>|null
     */
    private static function apart(int $i, array $p, array $a, int $j, array $q, array $b, Gap $gap): ?array
    {
        $links = [];
        foreach ([
            [0, Gap::X, Gap::X, $gap->besideMm],
            [1, Gap::Y, Gap::Y, $gap->besideMm],
            [2, Gap::BEFORE, Gap::BEHIND, $gap->layerMm],
        ] as [$axis, $first, $second, $mm]) {
            $after = $p[$axis] + $p[$axis + 3] + $mm - $q[$axis];
            $before = $q[$axis] + $q[$axis + 3] + $mm - $p[$axis];
            if ((($gap->ways & $first) > 0 && $after - Clearance::NEARLY <= $b[$axis] - $a[$axis])
                || (($gap->ways & $second) > 0 && $before - Clearance::NEARLY <= $a[$axis] - $b[$axis])) {
                return null;
            }
            if (($gap->ways & $first) > 0) {
                $links[] = [$axis, $i, $j, $after];
            }
            if (($gap->ways & $second) > 0) {
                $links[] = [$axis, $j, $i, $before];
            }
        }

        return $links;
    }

    /**
     * A rib does not move: the piece goes beyond it on one side, or stays on the near side of it.
     *
     * @param  Point  $at
     * @return list<array{0|1|2, int, int, float}>
     */
    private function besideRib(int $i, Orientation $laid, array $at): array
    {
        foreach ($this->task->room->ribs as $rib) {
            foreach ($rib->name !== '' && $rib->name === $laid->postName ? [] : $laid->solid as $p) {
                $block = (new Box(...$p))->at(...$at);
                if ($block->overlap($rib) !== null) {
                    return [
                        [0, -1, $i, $rib->right() - $p[0]], [0, $i, -1, $rib->x - $p[0] - $p[3]],
                        [1, -1, $i, $rib->bottom() - $p[1]], [1, $i, -1, $rib->y - $p[1] - $p[4]],
                        [2, -1, $i, $rib->back() - $p[2]], [2, $i, -1, $rib->z - $p[2] - $p[5]],
                    ];
                }
            }
        }

        return [];
    }

    /**
     * Each as near to the face's top left corner as what was decided lets it; null when that cannot be.
     *
     * @param  list<array{0|1|2, int, int, float}>  $links
     * @return array<int, Point>|null
     */
    private function pushed(array $links): ?array
    {
        /** @var array<int, Point> $at */
        $at = [];
        $high = [];
        foreach ($this->order as $i) {
            if (! isset($this->ways[$i])) {
                break;
            }
            $at[$i] = $this->orientation($i)->low;
            $high[$i] = $this->orientation($i)->high;
        }
        for ($round = 0, $moved = true; $moved && $round <= 3 * count($at) + 3; $round++) {
            $moved = false;
            foreach ($links as [$axis, $from, $to, $mm]) {
                if ($to === -1) {
                    $high[$from] = self::moved($high[$from], $axis, min($high[$from][$axis], $mm));

                    continue;
                }
                $least = $from === -1 ? $mm : $at[$from][$axis] + $mm;
                if ($at[$to][$axis] < $least - 1e-9) {
                    $at[$to] = self::moved($at[$to], $axis, $least);
                    $moved = true;
                }
            }
            [$at, $pushed] = $this->toFarWalls($at);
            $moved = $moved || $pushed;
            foreach ($at as $i => $point) {
                if ($point[0] > $high[$i][0] + 1e-7 || $point[1] > $high[$i][1] + 1e-7 || $point[2] > $high[$i][2] + 1e-7) {
                    return null;
                }
            }
        }

        return $moved ? null : $at;
    }

    /**
     * What has to reach the far wall of a body that is still to be drawn goes as far as anything does.
     *
     * @param  array<int, Point>  $at
     * @return array{array<int, Point>, bool} and whether any had to move
     */
    private function toFarWalls(array $at): array
    {
        $moved = false;
        if (! $this->task->room->drawn) {
            return [$at, false];
        }
        foreach ([0, 1, 2] as $axis) {
            $far = 0.0;
            foreach ($at as $i => $point) {
                $far = max($far, $point[$axis] + $this->orientation($i)->sides[$axis]);
            }
            foreach ($at as $i => $point) {
                $least = $far - $this->orientation($i)->sides[$axis] - $this->task->spacing->socketMm;
                if ($this->orientation($i)->reaches[$axis] && $point[$axis] < $least - 1e-9) {
                    $at[$i] = self::moved($point, $axis, $least);
                    $moved = true;
                }
            }
        }

        return [$at, $moved];
    }

    /**
     * @param  Point  $point
     * @param  0|1|2  $axis
     * @return Point
     */
    private static function moved(array $point, int $axis, float $mm): array
    {
        return [$axis === 0 ? $mm : $point[0], $axis === 1 ? $mm : $point[1], $axis === 2 ? $mm : $point[2]];
    }

    /** @param  array<int, Point>  $at */
    private function measure(array $at): float
    {
        $far = [0.0, 0.0, 0.0];
        foreach ($at as $i => $point) {
            $sides = $this->orientation($i)->sides;
            $far = [max($far[0], $point[0] + $sides[0]), max($far[1], $point[1] + $sides[1]), max($far[2], $point[2] + $sides[2])];
        }

        return $this->task->measure($far[0], $far[1], $far[2]);
    }

    /** @param  array<int, Point>|null  $at */
    private function keep(?array $at): void
    {
        if ($at !== null && $this->measure($at) < $this->best - self::STEP_MM) {
            $this->best = $this->measure($at);
            ksort($at);
            $ways = $this->ways;
            ksort($ways);
            $this->found = [$at, array_values($ways)];
        }
    }

    private function orientation(int $i): Orientation
    {
        return $this->task->ways[$i][$this->ways[$i]];
    }
}
