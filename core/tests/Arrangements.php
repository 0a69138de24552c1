<?php

declare(strict_types=1);

namespace CoreTests;

use PocketPlot\Build\Build;
use PocketPlot\Facts\Facts;
use PocketPlot\Fit\Arrangement;
use PocketPlot\Fit\Arranger;
use PocketPlot\Fit\Inventory;
use PocketPlot\Fit\Piece;
use PocketPlot\Fit\Style;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Builds to be arranged, drawn by lot, and two programs that know nothing of how it is done: a checker and a trier of everything. */
final class Arrangements
{
    /** Millimetres of one cell of the small cases. */
    public const UNIT = 10;

    /** No gaps, no wires: what is left is whether blocks go into a box. */
    public const BARE = ['beside-mm' => 0.0, 'layer-mm' => 0.0, 'heat-gap-mm' => 0.0, 'cavity-mm' => 0.0, 'packing-most' => 1.0, 'socket-mm' => 0.0];

    /** @return array<string, mixed> the facet "size" */
    public static function size(float $length, float $width, float $height): array
    {
        return ['lengthMm' => $length, 'widthMm' => $width, 'heightMm' => $height];
    }

    /** @return array<string, mixed> the facets of a body */
    public static function cavity(float $length, float $width, float $height): array
    {
        return ['body' => ['cavityLengthMm' => $length, 'cavityWidthMm' => $width, 'cavityHeightMm' => $height, 'wallMm' => 2, 'drawn' => false]];
    }

    public static function inventory(Build $build): Inventory
    {
        $facts = new Facts($build);

        return Inventory::of($build, $facts->bodyLine(), $facts->inBody());
    }

    /** @return Arrangement|list<Piece> */
    public static function arrange(Build $build, int $asks, Style $style = Style::Free, int $seed = 1): Arrangement|array
    {
        return (new Arranger(self::inventory($build), $build->fit, $seed))->arrange($style, static function () use (&$asks): bool {
            return --$asks > 0;
        });
    }

    /** A few blocks of whole cells in a floor of four by four cells and four of depth. */
    public static function small(int $seed): Build
    {
        $random = new Randomizer(new Mt19937($seed));
        $side = static fn (int $most): int => self::UNIT * $random->getInt(1, $most);
        $lines = ['case' => ['role' => 'case', 'facets' => self::cavity(4 * self::UNIT, 4 * self::UNIT, 4 * self::UNIT)]];
        $kinds = ['panel', 'pad', 'cells', 'hot', 'plain', 'plain'];
        foreach ($random->shuffleArray($kinds) as $n => $kind) {
            if ($n < $random->getInt(3, 5)) {
                $lines["{$kind}{$n}"] = self::line($kind, [$side(3), $side(2), $side($kind === 'panel' ? 1 : 2)]);
            }
        }

        return Make::build($lines, ['margins' => ['heat-gap-mm' => $random->getInt(0, 1) * self::UNIT] + self::BARE]);
    }

    /** Up to a dozen parts of odd sizes, with ribs, tall sockets and edges, in a body that is there or is to be drawn. */
    public static function large(int $seed): Build
    {
        $random = new Randomizer(new Mt19937($seed));
        $side = static fn (int $least, int $most): float => $random->getInt($least * 10, $most * 10) / 10;
        $drawn = $random->getInt(0, 1) === 1;
        $body = $drawn
            ? ['body' => ['drawn' => true, 'wallMm' => 2]]
            : self::cavity($side(120, 200), $side(70, 120), $side(25, 60));
        if (! $drawn && $random->getInt(0, 1) === 1) {
            $body['body']['ribs'] = [[
                'name' => 'rib',
                'xMm' => $side(20, 90),
                'yMm' => 0,
                'zMm' => 0,
                'lengthMm' => 2,
                'widthMm' => $side(5, 40),
                'heightMm' => 20,
            ]];
        }
        $lines = ['case' => ['role' => 'case', 'facets' => $body]];
        $lines['panel'] = self::line('panel', [$side(50, 110), $side(35, 65), $side(3, 8)]);
        $lines['pad'] = self::line('pad', [$side(20, 35), $side(20, 35), $side(5, 12)]);
        $lines['cells'] = self::line('cells', [$side(40, 80), $side(30, 50), $side(5, 20)]);
        $lines['board'] = self::line('hot', [$side(50, 85), $side(30, 56), $side(8, 17)], self::tallBoard($random));
        for ($n = $random->getInt(0, 7); $n > 0; $n--) {
            $lines["small{$n}"] = self::line('plain', [$side(8, 45), $side(8, 25), $side(3, 15)]);
        }

        return Make::build($lines, $drawn ? ['largestMm' => ['lengthMm' => $side(150, 220), 'widthMm' => $side(90, 130), 'heightMm' => 60]] : []);
    }

    /** A console with so many parts, most of them small, to be drawn within 210 × 110 × 60 mm. */
    public static function crowd(int $count, int $seed): Build
    {
        $random = new Randomizer(new Mt19937($seed));
        $side = static fn (int $least, int $most): float => $random->getInt($least * 10, $most * 10) / 10;
        $lines = [
            'case' => ['role' => 'case', 'facets' => ['body' => ['drawn' => true, 'wallMm' => 2]]],
            'panel' => self::line('panel', [120, 75, 6]), 'pad' => self::line('pad', [30, 30, 8]), 'cells' => self::line('cells', [90, 60, 10]),
            'board' => self::line('hot', [85, 56, 17]),
        ];
        while (count($lines) <= $count) {
            $lines['small'.count($lines)] = self::line('plain', [$side(10, 50), $side(8, 30), $side(3, 14)]);
        }

        return Make::build($lines, ['largestMm' => ['lengthMm' => 210, 'widthMm' => 110, 'heightMm' => 60]]);
    }

    /** @return array<string, mixed> */
    private static function tallBoard(Randomizer $random): array
    {
        return match ($random->getInt(0, 2)) {
            0 => [],
            1 => ['sockets' => [[
                'name' => 'inlet',
                'connector' => 'usb-c',
                'carries' => 'power',
                'direction' => 'in',
                'outside' => true,
                'face' => $random->getInt(0, 1) === 0 ? 'left' : 'bottom',
            ]]],
            default => ['blocks' => [
                ['name' => 'plate', 'xMm' => 0, 'yMm' => 0, 'zMm' => 0, 'lengthMm' => 50, 'widthMm' => 30, 'heightMm' => 2],
                ['name' => 'tall socket', 'xMm' => 0, 'yMm' => 0, 'zMm' => 2, 'lengthMm' => 15, 'widthMm' => 30, 'heightMm' => 6],
            ]],
        };
    }

    /**
     * @param  array{float|int, float|int, float|int}  $sides
     * @param  array<string, mixed>  $more  facets
     * @return array{role: string, facets: array<string, mixed>, part?: array<string, mixed>}
     */
    private static function line(string $kind, array $sides, array $more = []): array
    {
        $size = ['size' => self::size(...$sides)] + $more;

        return match ($kind) {
            'panel' => ['role' => 'display', 'facets' => $size + ['panel' => ['widthPx' => 320, 'heightPx' => 240]], 'part' => ['sits' => 'face']],
            'pad' => [
                'role' => 'controls',
                'facets' => $size + ['controls' => ['players' => 1, 'dPads' => 1, 'buttons' => 2, 'sticks' => 0, 'knobs' => 0, 'touch' => false]],
                'part' => ['sits' => 'face'],
            ],
            'cells' => ['role' => 'cells', 'facets' => $size + ['pack' => ['chemistry' => 'LiPo', 'series' => 1, 'parallel' => 1, 'capacityMah' => 2000]]],
            'hot' => ['role' => 'board', 'facets' => $size + ['heat' => ['watts' => 4]]],
            default => ['role' => 'regulator', 'facets' => $size],
        };
    }

    /**
     * What is wrong with an arrangement, by boxes and nothing else.
     *
     * @return list<string>
     */
    public static function wrong(Build $build, Arrangement $found, bool $heatCounts = true): array
    {
        $inventory = self::inventory($build);
        $margins = $build->brief->margins + ['beside-mm' => 0.5, 'layer-mm' => 1.0, 'heat-gap-mm' => 5.0, 'socket-mm' => 1.5];
        $boxes = [];
        foreach ($inventory->pieces as $piece) {
            $pose = $found->poses[$piece->key()] ?? null;
            if ($pose !== null) {
                $boxes[] = [$piece, self::cornersOf($piece, $pose->turn, [$pose->xMm, $pose->yMm, $pose->zMm])];
            }
        }
        $wrong = [];
        $drawn = $inventory->room?->drawn === true;
        foreach ($boxes as $n => [$piece, $blocks]) {
            foreach ($blocks as $b) {
                foreach ([0, 1, 2] as $axis) {
                    if ($b[$axis] < -0.011 || $b[$axis + 3] > $found->insideMm[$axis] + 0.011) {
                        $wrong[] = "{$piece->key()} sticks out";
                    }
                }
                foreach ($drawn ? [] : $inventory->room->ribs ?? [] as $rib) {
                    if (self::overlap($b, [$rib->x, $rib->y, $rib->z, $rib->right(), $rib->bottom(), $rib->back()], 0.0, 0.0)) {
                        $wrong[] = "{$piece->key()} meets a rib";
                    }
                }
            }
            if ($piece->isFace && min(array_column($blocks, 2)) > 0.011) {
                $wrong[] = "{$piece->key()} is not in the face";
            }
            for ($m = 0; $m < $n; $m++) {
                [$other, $others] = $boxes[$m];
                $isWarm = $heatCounts && (($piece->isCell && $other->isHot) || ($piece->isHot && $other->isCell));
                $beside = $isWarm ? max($margins['heat-gap-mm'], $margins['beside-mm']) : $margins['beside-mm'];
                $layer = $isWarm ? max($margins['heat-gap-mm'], $margins['layer-mm']) : $margins['layer-mm'];
                $flat = ($piece->isControl && $other->isCell) || ($piece->isCell && $other->isControl);
                foreach ($blocks as $b) {
                    foreach ($others as $o) {
                        if ($flat ? self::overlap(
                            [$b[0], $b[1], 0, $b[3], $b[4], 1],
                            [$o[0], $o[1], 0, $o[3], $o[4], 1],
                            $beside,
                            0.0,
                        ) : self::overlap($b, $o, $beside, $layer)) {
                            $wrong[] = "{$piece->key()} meets {$other->key()}";
                        }
                    }
                }
            }
        }

        return $wrong;
    }

    /**
     * Corner to corner: near and far ends of each block of a turned piece. Written anew, apart from the program's own turns.
     *
     * @param  array{float, float, float}  $at
     * @return list<array{float, float, float, float, float, float}>
     */
    private static function cornersOf(Piece $piece, string $turn, array $at): array
    {
        preg_match_all('/(-?)([lwh])/', $turn, $found, PREG_SET_ORDER);
        $blocks = [];
        foreach ($piece->shape->solid as $box) {
            $own = ['l' => [$box->x, $box->l, 0], 'w' => [$box->y, $box->w, 1], 'h' => [$box->z, $box->h, 2]];
            $near = $far = [];
            foreach ($found as $axis => [, $sign, $letter]) {
                [$from, $long, $which] = $own[$letter];
                $start = $sign === '-' ? $piece->shape->sides[$which] - $from - $long : $from;
                $near[] = $at[$axis] + $start;
                $far[] = $at[$axis] + $start + $long;
            }
            $blocks[] = [$near[0], $near[1], $near[2], $far[0], $far[1], $far[2]];
        }

        return $blocks;
    }

    /**
     * @param  array<int, float|int>  $a
     * @param  array<int, float|int>  $b
     */
    private static function overlap(array $a, array $b, float $beside, float $layer): bool
    {
        foreach ([$beside, $beside, $layer] as $axis => $gap) {
            if ($gap - 0.021 <= $b[$axis] - $a[$axis + 3] || $gap - 0.021 <= $a[$axis] - $b[$axis + 3]) {
                return false;
            }
        }

        return true;
    }

    /**
     * The least depth in cells for the small cases, by trying every place and turn of every piece; null when nothing goes.
     */
    public static function byTryingAll(Build $build): ?int
    {
        $pieces = self::inventory($build)->pieces;
        $heat = (int) round(($build->brief->margins['heat-gap-mm'] ?? 0.0) / self::UNIT);
        for ($deep = 1; $deep <= 4; $deep++) {
            $places = array_map(static fn (Piece $piece): array => self::places($piece, $deep, $heat), $pieces);
            if (! in_array([], $places, true) && self::goes($pieces, $places, 0, [])) {
                return $deep;
            }
        }

        return null;
    }

    /** @return list<array{int, int, int}> cells taken, cells taken with the warm gap around them, columns of the floor taken */
    private static function places(Piece $piece, int $deep, int $heat): array
    {
        $own = array_map(static fn (float $side): int => (int) round($side / self::UNIT), $piece->shape->sides);
        $turns = $piece->isPanel ? [[0, 1, 2]] : ($piece->isFace ? [[0, 1, 2], [1, 0, 2]] : [[0, 1, 2], [1, 0, 2], [0, 2, 1], [2, 0, 1], [1, 2, 0], [2, 1, 0]]);
        $places = [];
        foreach ($turns as $turn) {
            [$l, $w, $h] = [$own[$turn[0]], $own[$turn[1]], $own[$turn[2]]];
            for ($z = 0; $z + $h <= ($piece->isFace ? $h : $deep) && $z + $h <= $deep; $z++) {
                for ($y = 0; $y + $w <= 4; $y++) {
                    for ($x = 0; $x + $l <= 4; $x++) {
                        $places["{$l} {$w} {$h} {$x} {$y} {$z}"] = [
                            self::cells($x, $y, $z, $l, $w, $h),
                            self::cells($x - $heat, $y - $heat, $z - $heat, $l + 2 * $heat, $w + 2 * $heat, $h + 2 * $heat),
                            self::cells($x, $y, 0, $l, $w, 1),
                        ];
                    }
                }
            }
        }

        return array_values($places);
    }

    private static function cells(int $x, int $y, int $z, int $l, int $w, int $h): int
    {
        $mask = 0;
        for ($r = max(0, $z); $r < min(4, $z + $h); $r++) {
            for ($q = max(0, $y); $q < min(4, $y + $w); $q++) {
                for ($p = max(0, $x); $p < min(4, $x + $l); $p++) {
                    $mask |= 1 << ($r * 16 + $q * 4 + $p);
                }
            }
        }

        return $mask;
    }

    /**
     * @param  list<Piece>  $pieces
     * @param  list<list<array{int, int, int}>>  $places
     * @param  list<array{int, int, int}>  $taken
     */
    private static function goes(array $pieces, array $places, int $n, array $taken): bool
    {
        if ($n === count($pieces)) {
            return true;
        }
        foreach ($places[$n] as $place) {
            foreach ($taken as $m => $other) {
                [$one, $two] = [$pieces[$n], $pieces[$m]];
                $isWarm = ($one->isCell && $two->isHot) || ($one->isHot && $two->isCell);
                $isOver = ($one->isControl && $two->isCell) || ($one->isCell && $two->isControl);
                if (($place[0] & $other[$isWarm ? 1 : 0]) !== 0 || ($isOver && ($place[2] & $other[2]) !== 0)) {
                    continue 2;
                }
            }
            if (self::goes($pieces, $places, $n + 1, [...$taken, $place])) {
                return true;
            }
        }

        return false;
    }
}
