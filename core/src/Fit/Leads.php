<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Build;
use PocketPlot\Build\Join;
use PocketPlot\Part\Socket;

/** Whether leads of known length reach from part to part along a way that exists. */
final class Leads
{
    /** Cells along the longest side of the grid in which a way is looked for. */
    private const CELLS = 40;

    private const LEAST_CELL_MM = 3.0;

    /**
     * @param  list<PlacedPiece>  $placed
     * @param  array{float, float, float}  $inside
     * @return list<Trouble>
     */
    public static function tooShort(Build $build, array $placed, array $inside): array
    {
        $first = [];
        foreach ($placed as $one) {
            $first[$one->piece->line->id] ??= $one;
        }
        $troubles = [];
        foreach ($build->joins as $join) {
            [$from, $to] = [$first[$join->from] ?? null, $first[$join->to] ?? null];
            $length = self::length($build, $join);
            if ($from === null || $to === null || $from === $to || $length === null) {
                continue;
            }
            $a = self::end($from, $join->output, true);
            $b = self::end($to, $join->input, false);
            $straight = abs($a[0] - $b[0]) + abs($a[1] - $b[1]) + abs($a[2] - $b[2]);
            // What is shorter than the straight way finds none; what is twice as long finds one, through gaps if it must.
            $way = $straight > $length || $straight * 2 <= $length ? $straight : self::way($a, $b, $from, $to, $placed, $inside);
            if ($way === null || $way > $length) {
                $troubles[] = new Trouble(
                    $way === null ? 'no-way' : 'lead', $from->piece, $to->piece, $way ?? $straight, $length, Box::around([$from->box, $to->box]),
                );
            }
        }

        return $troubles;
    }

    private static function length(Build $build, Join $join): ?float
    {
        $cable = $join->through === '' ? null : $build->line($join->through)?->part->cable;

        return $join->lengthMm ?? ($cable?->lengthMm->isKnown() === true ? $cable->lengthMm->most() : null);
    }

    /** @return array{float, float, float} the socket of that name, or else the middle of the part */
    private static function end(PlacedPiece $one, string $name, bool $gives): array
    {
        foreach ($one->piece->line->part->sockets as $socket) {
            if ($socket->face !== '' && ($name === '' ? self::isPower($socket, $gives) : $socket->name === $name)) {
                $at = SocketPlace::of($socket, $one->piece->shape, $one->turn);

                return [$one->box->x + $at[0], $one->box->y + $at[1], $one->box->z + $at[2]];
            }
        }

        return [$one->box->x + $one->box->l / 2, $one->box->y + $one->box->w / 2, $one->box->z + $one->box->h / 2];
    }

    private static function isPower(Socket $socket, bool $gives): bool
    {
        return $socket->carries === 'power' && ($gives ? $socket->gives() : $socket->takes());
    }

    /**
     * @param  array{float, float, float}  $point
     * @param  array{int, int, int}  $n
     * @return array{int, int, int}
     */
    private static function cellOf(array $point, float $cell, array $n): array
    {
        $at = static fn (int $axis): int => max(0, min($n[$axis] - 1, (int) round($point[$axis] / $cell)));

        return [$at(0), $at(1), $at(2)];
    }

    /**
     * The shortest way along the axes around everything solid, by a grid; null where there is none.
     *
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     * @param  list<PlacedPiece>  $placed
     * @param  array{float, float, float}  $inside
     */
    private static function way(array $a, array $b, PlacedPiece $from, PlacedPiece $to, array $placed, array $inside): ?float
    {
        $cell = max(self::LEAST_CELL_MM, max($inside) / self::CELLS);
        $n = [(int) ceil($inside[0] / $cell) + 1, (int) ceil($inside[1] / $cell) + 1, (int) ceil($inside[2] / $cell) + 1];
        $index = static fn (int $x, int $y, int $z): int => ($z * $n[1] + $y) * $n[0] + $x;
        $taken = [];
        foreach ($placed as $one) {
            foreach ($one === $from || $one === $to ? [] : $one->solid as $box) {
                for ($x = max(0, (int) ceil($box->x / $cell)); $x * $cell <= $box->right() && $x < $n[0]; $x++) {
                    for ($y = max(0, (int) ceil($box->y / $cell)); $y * $cell <= $box->bottom() && $y < $n[1]; $y++) {
                        for ($z = max(0, (int) ceil($box->z / $cell)); $z * $cell <= $box->back() && $z < $n[2]; $z++) {
                            $taken[$index($x, $y, $z)] = true;
                        }
                    }
                }
            }
        }
        $start = self::cellOf($a, $cell, $n);
        $end = self::cellOf($b, $cell, $n);
        $goal = $index(...$end);
        $seen = [$index(...$start) => true];
        $wave = [$start];
        for ($steps = 0; $wave !== []; $steps++) {
            $next = [];
            foreach ($wave as [$x, $y, $z]) {
                if ($index($x, $y, $z) === $goal) {
                    return $steps * $cell;
                }
                foreach ([[1, 0, 0], [-1, 0, 0], [0, 1, 0], [0, -1, 0], [0, 0, 1], [0, 0, -1]] as [$dx, $dy, $dz]) {
                    [$p, $q, $r] = [$x + $dx, $y + $dy, $z + $dz];
                    if ($p < 0 || $q < 0 || $r < 0 || $p >= $n[0] || $q >= $n[1] || $r >= $n[2]) {
                        continue;
                    }
                    $at = $index($p, $q, $r);
                    if (! isset($seen[$at]) && ! isset($taken[$at])) {
                        $seen[$at] = true;
                        $next[] = [$p, $q, $r];
                    }
                }
            }
            $wave = $next;
        }

        return null;
    }
}
