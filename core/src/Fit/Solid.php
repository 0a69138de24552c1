<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/**
 * A body made of blocks put on and taken away, in their order, with round holes. Its surface is the walls between full
 * and empty cells of the grid that all blocks span, so that it is closed and every edge belongs to two triangles.
 */
final class Solid
{
    /** @var list<array{bool, Box}> */
    private array $steps = [];

    /** @var list<Hole> */
    private array $holes = [];

    /** @var array{list<float>, list<float>, list<float>} */
    private array $cuts = [[], [], []];

    /** @var array{int, int, int} cells along each axis */
    private array $n = [0, 0, 0];

    /** @var array<int, int> by cell: 1 where full, 2 and more in the square of a hole */
    private array $full = [];

    public function add(Box $box): self
    {
        $this->steps[] = [true, $box];

        return $this;
    }

    public function cut(Box $box): self
    {
        $this->steps[] = [false, $box];

        return $this;
    }

    /** Where it would not be solid all around, it becomes a square opening. */
    public function drill(Hole $hole): self
    {
        $this->holes[] = $hole;

        return $this;
    }

    public function mesh(): Mesh
    {
        $this->fill();
        $mesh = new Mesh;
        foreach ($this->full as $cell => $what) {
            $this->walls($mesh, $cell, $what);
        }
        foreach ($this->holes as $hole) {
            $this->bore($mesh, $hole);
        }

        return $mesh;
    }

    private function fill(): void
    {
        $at = [[], [], []];
        foreach ([
            ...array_map(static fn (array $step): Box => $step[1], $this->steps),
            ...array_map(static fn (Hole $hole): Box => $hole->tile(), $this->holes),
        ] as $box) {
            array_push($at[0], $box->x, $box->right());
            array_push($at[1], $box->y, $box->bottom());
            array_push($at[2], $box->z, $box->back());
        }
        foreach ($this->holes as $hole) {
            array_push($at[($hole->axis + 1) % 3], $hole->u - $hole->radius, $hole->u + $hole->radius);
            array_push($at[($hole->axis + 2) % 3], $hole->v - $hole->radius, $hole->v + $hole->radius);
        }
        $this->cuts = [self::sorted($at[0]), self::sorted($at[1]), self::sorted($at[2])];
        $this->n = [max(0, count($this->cuts[0]) - 1), max(0, count($this->cuts[1]) - 1), max(0, count($this->cuts[2]) - 1)];
        $this->full = [];
        foreach ($this->steps as [$isAdded, $box]) {
            foreach ($this->cellsIn($box) as $cell) {
                if ($isAdded) {
                    $this->full[$cell] = 1;
                } else {
                    unset($this->full[$cell]);
                }
            }
        }
        $drilled = [];
        foreach ($this->holes as $hole) {
            if ($this->isSolid($hole)) {
                foreach ($this->cellsIn($hole->tile()) as $cell) {
                    $this->full[$cell] = count($drilled) + 2;
                }
                $drilled[] = $hole;
            } else {
                $box = $hole->tile();
                $less = ($hole->square - 2 * $hole->radius) / 2;
                foreach ($this->cellsIn($box, $less, $hole->axis) as $cell) {
                    if (($this->full[$cell] ?? 0) === 1) {
                        unset($this->full[$cell]);
                    }
                }
            }
        }
        $this->holes = $drilled;
        $this->joinCorners();
    }

    /** Both ends are all air or all solid, and all of it in between. */
    private function isSolid(Hole $hole): bool
    {
        foreach ($this->cellsIn($hole->tile()) as $cell) {
            if (($this->full[$cell] ?? 0) !== 1) {
                return false;
            }
        }

        return $this->end($hole, false) !== null && $this->end($hole, true) !== null;
    }

    /** Whether it is air beyond an end; null where it is partly so. */
    private function end(Hole $hole, bool $isFar): ?bool
    {
        $stride = $this->stride($hole->axis);
        $air = [];
        foreach ($this->cellsIn($hole->tile()) as $cell) {
            $place = intdiv($cell, $stride) % $this->n[$hole->axis];
            $edge = $isFar ? $this->cuts[$hole->axis][$place + 1] : $this->cuts[$hole->axis][$place];
            if (abs($edge - ($isFar ? $hole->to : $hole->from)) < 1e-3) {
                $isOut = $place === ($isFar ? $this->n[$hole->axis] - 1 : 0);
                $air[$isOut || ! isset($this->full[$cell + ($isFar ? $stride : -$stride)]) ? 1 : 0] = true;
            }
        }

        return count($air) === 1 ? isset($air[1]) : null;
    }

    /**
     * @param  list<float>  $at
     * @return list<float>
     */
    private static function sorted(array $at): array
    {
        sort($at);
        $cuts = [];
        foreach ($at as $one) {
            if ($cuts === [] || $one - $cuts[count($cuts) - 1] > 1e-3) {
                $cuts[] = $one;
            }
        }

        return $cuts;
    }

    /** @return iterable<int> cells within a box, smaller by so much on each side but along one axis */
    private function cellsIn(Box $box, float $less = 0.0, int $along = -1): iterable
    {
        $from = [$box->x, $box->y, $box->z];
        $to = [$box->right(), $box->bottom(), $box->back()];
        $range = [];
        foreach ([0, 1, 2] as $axis) {
            $in = $axis === $along ? 0.0 : $less;
            $range[$axis] = [];
            for ($i = 0; $i < $this->n[$axis]; $i++) {
                $middle = ($this->cuts[$axis][$i] + $this->cuts[$axis][$i + 1]) / 2;
                if ($middle > $from[$axis] + $in - 1e-9 && $middle < $to[$axis] - $in + 1e-9) {
                    $range[$axis][] = $i;
                }
            }
        }
        foreach ($range[2] as $z) {
            foreach ($range[1] as $y) {
                foreach ($range[0] as $x) {
                    yield ($z * $this->n[1] + $y) * $this->n[0] + $x;
                }
            }
        }
    }

    private function stride(int $axis): int
    {
        return [1, $this->n[0], $this->n[0] * $this->n[1]][$axis];
    }

    /** Two full cells that share nothing but an edge would make it belong to four walls: a third one joins them. */
    private function joinCorners(): void
    {
        for ($changed = true; $changed;) {
            $changed = false;
            foreach (array_keys($this->full) as $cell) {
                $at = [$cell % $this->n[0], intdiv($cell, $this->n[0]) % $this->n[1], intdiv($cell, $this->n[0] * $this->n[1])];
                foreach ([[0, 1], [0, 2], [1, 2]] as [$a, $b]) {
                    foreach ([1, -1] as $way) {
                        if ($this->n[$a] <= $at[$a] + 1 || $at[$b] + $way < 0 || $this->n[$b] <= $at[$b] + $way) {
                            continue;
                        }
                        $beside = $cell + $this->stride($a);
                        $over = $cell + $way * $this->stride($b);
                        if (isset($this->full[$beside + $way * $this->stride($b)]) && ! isset($this->full[$beside]) && ! isset($this->full[$over])) {
                            $this->full[$beside] = 1;
                            $changed = true;
                        }
                    }
                }
            }
        }
    }

    private function walls(Mesh $mesh, int $cell, int $what): void
    {
        $at = [$cell % $this->n[0], intdiv($cell, $this->n[0]) % $this->n[1], intdiv($cell, $this->n[0] * $this->n[1])];
        $bored = $what > 1 ? $this->holes[$what - 2]->axis : -1;
        foreach ([0, 1, 2] as $axis) {
            if ($axis === $bored) {
                continue;
            }
            $stride = $this->stride($axis);
            foreach ([-1, 1] as $way) {
                $place = $at[$axis] + $way;
                if ($place >= 0 && $place < $this->n[$axis] && isset($this->full[$cell + $way * $stride])) {
                    continue;
                }
                [$u, $v] = [($axis + 1) % 3, ($axis + 2) % 3];
                $fixed = $this->cuts[$axis][$at[$axis] + ($way > 0 ? 1 : 0)];
                $point = function (int $du, int $dv) use ($axis, $u, $v, $fixed, $at): array {
                    $p = [0.0, 0.0, 0.0];
                    $p[$axis] = $fixed;
                    $p[$u] = $this->cuts[$u][$at[$u] + $du];
                    $p[$v] = $this->cuts[$v][$at[$v] + $dv];

                    return [$p[0], $p[1], $p[2]];
                };
                [$a, $b, $c, $d] = [$point(0, 0), $point(1, 0), $point(1, 1), $point(0, 1)];
                $way > 0 ? $mesh->quad($a, $b, $c, $d) : $mesh->quad($a, $d, $c, $b);
            }
        }
    }

    private function bore(Mesh $mesh, Hole $hole): void
    {
        $ring = [];
        for ($i = 0; $i < Hole::CORNERS; $i++) {
            $angle = 2 * M_PI * ($i + 0.5) / Hole::CORNERS;
            $ring[] = [$hole->u + $hole->radius * cos($angle), $hole->v + $hole->radius * sin($angle)];
        }
        [$from, $to] = [$this->snapped($hole->axis, $hole->from), $this->snapped($hole->axis, $hole->to)];
        $axis = $hole->axis;
        foreach ($ring as $i => $p) {
            $q = $ring[($i + 1) % Hole::CORNERS];
            // The solid is outside of the ring: its surface looks inwards.
            $mesh->quad(self::inSpace($axis, $from, $p), self::inSpace($axis, $to, $p), self::inSpace($axis, $to, $q), self::inSpace($axis, $from, $q));
        }
        $square = $this->square($hole);
        foreach ([[false, $from], [true, $to]] as [$isFar, $along]) {
            if ($this->end($hole, $isFar) === true) {
                self::annulus($mesh, $square, $ring, $hole, $along, $isFar);

                continue;
            }
            for ($i = 1; $i + 1 < Hole::CORNERS; $i++) {
                [$b, $c] = $isFar ? [$ring[$i + 1], $ring[$i]] : [$ring[$i], $ring[$i + 1]];
                $mesh->triangle(self::inSpace($axis, $along, $ring[0]), self::inSpace($axis, $along, $b), self::inSpace($axis, $along, $c));
            }
        }
    }

    /** As the grid has it. */
    private function snapped(int $axis, float $at): float
    {
        foreach ($this->cuts[$axis] as $cut) {
            if (abs($cut - $at) < 1e-3) {
                return $cut;
            }
        }

        return $at;
    }

    /**
     * @param  0|1|2  $axis
     * @param  array{float, float}  $p
     * @return array{float, float, float}
     */
    private static function inSpace(int $axis, float $along, array $p): array
    {
        return match ($axis) {
            0 => [$along, $p[0], $p[1]],
            1 => [$p[1], $along, $p[0]],
            2 => [$p[0], $p[1], $along],
        };
    }

    /** @return non-empty-list<array{float, float}> the square around a hole with every line of the grid that meets it, turning as the ring does */
    private function square(Hole $hole): array
    {
        $lines = [];
        foreach ([1, 2] as $nth) {
            $axis = ($hole->axis + $nth) % 3;
            $middle = $nth === 1 ? $hole->u : $hole->v;
            $lines[] = array_values(array_filter($this->cuts[$axis], static fn (float $cut): bool => abs($cut - $middle) <= $hole->square / 2 + 1e-3));
        }
        [$us, $vs] = $lines;
        [$left, $right, $low, $high] = [$us[0] ?? 0.0, $us[count($us) - 1] ?? 0.0, $vs[0] ?? 0.0, $vs[count($vs) - 1] ?? 0.0];
        $square = [[$left, $low]];
        foreach (array_slice($us, 1) as $u) {
            $square[] = [$u, $low];
        }
        foreach (array_slice($vs, 1) as $v) {
            $square[] = [$right, $v];
        }
        foreach (array_slice(array_reverse($us), 1) as $u) {
            $square[] = [$u, $high];
        }
        foreach (array_slice(array_reverse($vs), 1, -1) as $v) {
            $square[] = [$left, $v];
        }

        return $square;
    }

    /**
     * @param  list<array{float, float}>  $loop
     * @param  array{float, float}  $middle
     * @return array{list<array{float, float}>, list<float>} by angle, and the angles, the first once more after a whole turn
     */
    private static function byAngle(array $loop, array $middle): array
    {
        $angles = array_map(static fn (array $p): float => fmod(atan2($p[1] - $middle[1], $p[0] - $middle[0]) + 2 * M_PI, 2 * M_PI), $loop);
        array_multisort($angles, $loop);
        $angles[] = ($angles[0] ?? 0.0) + 2 * M_PI;

        return [$loop, $angles];
    }

    /**
     * Between a square and a ring around one middle, both turning the same way: the corner that comes next, by its angle, closes the next triangle.
     *
     * @param  list<array{float, float}>  $square
     * @param  list<array{float, float}>  $ring
     */
    private static function annulus(Mesh $mesh, array $square, array $ring, Hole $hole, float $along, bool $isFar): void
    {
        [$square, $squareAt] = self::byAngle($square, [$hole->u, $hole->v]);
        [$ring, $ringAt] = self::byAngle($ring, [$hole->u, $hole->v]);
        [$o, $r, $outer, $inner] = [0, 0, count($square), count($ring)];
        while ($o < $outer || $r < $inner) {
            $a = self::inSpace($hole->axis, $along, $square[$o % $outer]);
            $b = self::inSpace($hole->axis, $along, $ring[$r % $inner]);
            $goesOut = $r >= $inner || ($o < $outer && $squareAt[$o + 1] <= $ringAt[$r + 1]);
            $c = self::inSpace($hole->axis, $along, $goesOut ? $square[($o + 1) % $outer] : $ring[($r + 1) % $inner]);
            $isFar ? $mesh->triangle($a, $c, $b) : $mesh->triangle($a, $b, $c);
            $goesOut ? $o++ : $r++;
        }
    }
}
