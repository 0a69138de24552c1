<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

/**
 * The face cut into fields, each with what lies behind it and how deep that goes; the deepest decides.
 * All in mm from the face's inside: `deepMm` to the last piece's back, `solidMm` of it filled (what two
 * pieces share counts once, so the rest is air and never below nothing).
 *
 * @phpstan-type Field array{x: float, y: float, l: float, w: float, deepMm: float, solidMm: float, pieces: list<string>}
 */
final readonly class ThicknessMap
{
    /**
     * @param  list<Field>  $fields  pieces by key, from the face down
     * @param  list<PlacedPiece>  $deciding  the column that decides, from the face down
     */
    private function __construct(public array $fields, public array $deciding, public float $deepMm) {}

    public static function of(Fitted $fitted): self
    {
        $xs = $ys = [0.0];
        foreach ($fitted->placed as $one) {
            foreach ($one->solid as $box) {
                array_push($xs, $box->x, $box->right());
                array_push($ys, $box->y, $box->bottom());
            }
        }
        [$xs, $ys] = [self::cuts($xs), self::cuts($ys)];
        $fields = [];
        $deepest = null;
        for ($j = 0; $j + 1 < count($ys); $j++) {
            $row = [];
            for ($i = 0; $i + 1 < count($xs); $i++) {
                $field = self::field($fitted, $xs[$i], $ys[$j], $xs[$i + 1], $ys[$j + 1]);
                if ($field['pieces'] === []) {
                    continue;
                }
                $last = array_key_last($row);
                $isSame = $last !== null && $row[$last]['pieces'] === $field['pieces'] && $row[$last]['deepMm'] === $field['deepMm'];
                if ($isSame && abs($row[$last]['x'] + $row[$last]['l'] - $field['x']) < 1e-6) {
                    $row[$last]['l'] += $field['l'];
                } else {
                    $row[] = $field;
                }
            }
            foreach ($row as $field) {
                $fields = self::with($fields, $field);
                // Of columns that go as deep, the one with the most in it says the most.
                if ($deepest === null || [$field['deepMm'], $field['solidMm']] > [$deepest['deepMm'], $deepest['solidMm']]) {
                    $deepest = $field;
                }
            }
        }

        return new self($fields, self::column($fitted, $deepest['pieces'] ?? []), $deepest['deepMm'] ?? 0.0);
    }

    /** "Rook 9 panel, Ridge pack": the deciding column, from the face down. */
    public function saysDeciding(): string
    {
        return implode(', ', array_map(static fn (PlacedPiece $one): string => $one->piece->name(), $this->deciding));
    }

    /**
     * @param  non-empty-list<float>  $at
     * @return list<float>
     */
    private static function cuts(array $at): array
    {
        sort($at);
        $cuts = [];
        foreach ($at as $one) {
            if ($cuts === [] || $one - $cuts[count($cuts) - 1] > 0.05) {
                $cuts[] = $one;
            }
        }

        return $cuts;
    }

    /**
     * One more field; where the one right above it has the same over each other, the two are one.
     *
     * @param  list<Field>  $fields
     * @param  Field  $field
     * @return list<Field>
     */
    private static function with(array $fields, array $field): array
    {
        $all = [];
        foreach ($fields as $one) {
            if (abs($one['y'] + $one['w'] - $field['y']) < 1e-6 && abs($one['x'] - $field['x']) < 1e-6 && abs($one['l'] - $field['l']) < 1e-6
                && $one['pieces'] === $field['pieces'] && $one['deepMm'] === $field['deepMm']) {
                $field['y'] = $one['y'];
                $field['w'] += $one['w'];
            } else {
                $all[] = $one;
            }
        }
        $all[] = $field;

        return $all;
    }

    /** @return Field */
    private static function field(Fitted $fitted, float $left, float $top, float $right, float $bottom): array
    {
        [$x, $y] = [($left + $right) / 2, ($top + $bottom) / 2];
        $deep = 0.0;
        $at = $spans = [];
        foreach ($fitted->placed as $one) {
            // A coil lies at the back of a body that is there, however deep that is.
            foreach ($one->piece->isCoil && $fitted->inventory->room?->drawn !== true ? [] : $one->solid as $box) {
                if ($box->x < $x && $box->right() > $x && $box->y < $y && $box->bottom() > $y) {
                    $deep = max($deep, $box->back());
                    $spans[] = [max(0.0, $box->z), $box->back()];
                    $at[$one->piece->key()] = min($at[$one->piece->key()] ?? INF, $box->z);
                }
            }
        }
        asort($at);

        return [
            'x' => $left,
            'y' => $top,
            'l' => $right - $left,
            'w' => $bottom - $top,
            'deepMm' => $deep,
            'solidMm' => self::filled($spans),
            'pieces' => array_map(strval(...), array_keys($at)),
        ];
    }

    /**
     * @param  list<array{float, float}>  $spans  from and to, mm deep
     * @return float mm that at least one span covers
     */
    private static function filled(array $spans): float
    {
        sort($spans);
        $filled = $reached = 0.0;
        foreach ($spans as [$from, $to]) {
            $filled += max(0.0, $to - max($from, $reached));
            $reached = max($reached, $to);
        }

        return $filled;
    }

    /**
     * @param  list<string>  $keys
     * @return list<PlacedPiece>
     */
    private static function column(Fitted $fitted, array $keys): array
    {
        $column = [];
        foreach ($keys as $key) {
            foreach ($fitted->placed as $one) {
                if ($one->piece->key() === $key) {
                    $column[] = $one;
                }
            }
        }

        return $column;
    }
}
