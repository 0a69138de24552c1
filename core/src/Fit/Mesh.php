<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/**
 * Triangles, each turning to the left seen from outside; millimetres.
 *
 * @phpstan-type Point array{float, float, float}
 */
final class Mesh
{
    /** @var list<array{Point, Point, Point}> */
    public array $triangles = [];

    /**
     * @param  Point  $a
     * @param  Point  $b
     * @param  Point  $c
     */
    public function triangle(array $a, array $b, array $c): void
    {
        $this->triangles[] = [$a, $b, $c];
    }

    /**
     * @param  Point  $a
     * @param  Point  $b
     * @param  Point  $c
     * @param  Point  $d
     */
    public function quad(array $a, array $b, array $c, array $d): void
    {
        $this->triangles[] = [$a, $b, $c];
        $this->triangles[] = [$a, $c, $d];
    }

    /** Cubic millimetres inside: the sum of the pyramids from each triangle to one point. */
    public function volumeMm3(): float
    {
        $sum = 0.0;
        foreach ($this->triangles as [$a, $b, $c]) {
            $sum += $a[0] * ($b[1] * $c[2] - $b[2] * $c[1]) - $a[1] * ($b[0] * $c[2] - $b[2] * $c[0]) + $a[2] * ($b[0] * $c[1] - $b[1] * $c[0]);
        }

        return $sum / 6;
    }

    /** Edges that do not belong to exactly two triangles turning the same way; nought when it is closed. */
    public function openEdges(): int
    {
        $edges = [];
        foreach ($this->triangles as $triangle) {
            $keys = array_map(static fn (array $p): string => sprintf('%.4f %.4f %.4f', ...$p), $triangle);
            foreach ([[0, 1], [1, 2], [2, 0]] as [$a, $b]) {
                $edge = "{$keys[$a]}|{$keys[$b]}";
                $edges[$edge] = ($edges[$edge] ?? 0) + 1;
            }
        }
        $open = 0;
        foreach ($edges as $edge => $count) {
            [$a, $b] = explode('|', $edge);
            $open += $count === 1 && ($edges["{$b}|{$a}"] ?? 0) === 1 ? 0 : 1;
        }

        return $open;
    }

    /** Orientation on its other side, for the bed of a printer. */
    public function flipped(): self
    {
        $mesh = new self;
        foreach ($this->triangles as [$a, $b, $c]) {
            $mesh->triangle([$a[0], -$a[1], -$a[2]], [$b[0], -$b[1], -$b[2]], [$c[0], -$c[1], -$c[2]]);
        }

        return $mesh;
    }

    /** Binary STL: 80 bytes of heading, the count, then normal, corners and two empty bytes a triangle. */
    public function stl(string $heading): string
    {
        $parts = [str_pad(substr($heading, 0, 80), 80, "\0"), pack('V', count($this->triangles))];
        foreach ($this->triangles as [$a, $b, $c]) {
            $n = self::normal($a, $b, $c);
            $parts[] = pack('g12v', $n[0], $n[1], $n[2], $a[0], $a[1], $a[2], $b[0], $b[1], $b[2], $c[0], $c[1], $c[2], 0);
        }

        return implode('', $parts);
    }

    /**
     * @param  Point  $a
     * @param  Point  $b
     * @param  Point  $c
     * @return Point
     */
    private static function normal(array $a, array $b, array $c): array
    {
        [$p, $q] = [[$b[0] - $a[0], $b[1] - $a[1], $b[2] - $a[2]], [$c[0] - $a[0], $c[1] - $a[1], $c[2] - $a[2]]];
        $n = [$p[1] * $q[2] - $p[2] * $q[1], $p[2] * $q[0] - $p[0] * $q[2], $p[0] * $q[1] - $p[1] * $q[0]];
        $long = sqrt($n[0] ** 2 + $n[1] ** 2 + $n[2] ** 2);

        return $long > 0.0 ? [$n[0] / $long, $n[1] / $long, $n[2] / $long] : [0.0, 0.0, 0.0];
    }
}
