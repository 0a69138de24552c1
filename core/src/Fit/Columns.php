<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Line;
use PocketPlot\Part\Role;

/**
 * What lies over what. Parts whose line names a place share that column (several places, parted by commas, put it into
 * each of them); all others are stacked by what they usually are (panel over board, controls and cells on their own),
 * and only when they cannot lie side by side.
 */
final class Columns
{
    /** Where cells lie to which nobody gave a place. */
    public const CELLS = 'at the cells';

    /** Share of the floor that parts may cover before some have to lie over others: wires and posts want the rest. */
    private const FLOOR_SHARE = 0.8;

    /**
     * @param  list<Line>  $inBody
     * @param  float|null  $floorMm2  the room's length × width; null when it is drawn around the parts
     * @return array<string, list<Line>> column => lines from the face down
     */
    public static function of(array $inBody, ?float $floorMm2): array
    {
        $columns = $rest = [];
        foreach ($inBody as $line) {
            if ($line->place !== '') {
                foreach (self::places($line) as $place) {
                    $columns[$place][] = $line;
                }
            } elseif (self::usual($line) !== null) {
                $rest[] = $line;
            }
        }
        $covered = array_sum(array_map(static fn (Line $line): float => ($line->part->size->footprintMm2() ?? 0.0) * $line->quantity, $rest));
        $sideBySide = $floorMm2 !== null && $covered <= $floorMm2 * self::FLOOR_SHARE;
        foreach ($rest as $line) {
            $columns[$sideBySide ? $line->name() : (string) self::usual($line)][] = $line;
        }
        foreach ($columns as $name => $lines) {
            usort($lines, static fn (Line $a, Line $b): int => self::layer($a) <=> self::layer($b));
            $columns[$name] = $lines;
        }

        return $columns;
    }

    /**
     * The floor on which cells may lie side by side: the whole of it, where all columns together leave the room that wires
     * and posts want; null where they do not, or somebody's sides are not known.
     *
     * @param  array<string, list<Line>>  $columns
     * @param  array{float, float}|null  $floorMm
     * @return array{float, float}|null
     */
    public static function cellsFloor(array $columns, ?array $floorMm): ?array
    {
        $covered = 0.0;
        foreach ($columns as $name => $lines) {
            $areas = array_map(static fn (Line $line): ?float => $line->part->size->footprintMm2(), $lines);
            if (in_array(null, $areas, true)) {
                return null;
            }
            // What is stacked covers as much as the largest of it.
            $covered += $name === self::CELLS
                ? array_sum(array_map(static fn (Line $line, ?float $area): float => ($area ?? 0.0) * $line->quantity, $lines, $areas))
                : max([0.0, ...array_filter($areas, is_float(...))]);
        }

        return $floorMm !== null && $covered <= $floorMm[0] * $floorMm[1] * self::FLOOR_SHARE ? $floorMm : null;
    }

    /** @return list<string> */
    public static function places(Line $line): array
    {
        return array_values(array_filter(array_map(trim(...), explode(',', $line->place)), static fn (string $place): bool => $place !== ''));
    }

    /**
     * The layers of a column: each line on its own, or several that surely lie side by side on the floor beneath what is
     * in the face. Parts whose floor is not known are never taken to lie side by side.
     *
     * @param  list<Line>  $lines  from the face down
     * @param  array{float, float}|null  $floorMm  length and width of the place; null when nobody says
     * @return list<non-empty-list<Line>>
     */
    public static function layers(array $lines, ?array $floorMm): array
    {
        $faces = array_values(array_filter($lines, static fn (Line $line): bool => self::layer($line) === 0));
        $below = array_values(array_filter($lines, static fn (Line $line): bool => self::layer($line) !== 0));
        $floor = $floorMm;
        foreach ($floorMm === null ? $faces : [] as $face) {
            $sides = $face->part->size->sidesMm();
            $floor = $sides !== [] && ($floor === null || $sides[0] * $sides[1] > $floor[0] * $floor[1]) ? [$sides[0], $sides[1]] : $floor;
        }
        $each = static fn (Line $line): array => [$line];

        return [
            ...array_map($each, $faces),
            ...(count($below) > 1 && $floor !== null && self::lieSideBySide($below, $floor) ? [$below] : array_map($each, $below)),
        ];
    }

    /**
     * How many of a line lie over each other: a quantity lies side by side where the floor lets it.
     *
     * @param  array{float, float}|null  $floorMm
     */
    public static function piled(Line $line, ?array $floorMm): int
    {
        $sides = $line->part->size->sidesMm();
        if ($line->quantity === 1 || $sides === [] || $floorMm === null) {
            return $line->quantity;
        }
        [$long, $wide] = [$sides[0], $sides[1]];
        $rows = static fn (float $one, float $other): int => (int) floor(max(...$floorMm) / $one + 1e-9) * (int) floor(min(...$floorMm) / $other + 1e-9);

        return (int) ceil($line->quantity / max(1, $rows($long, $wide), $rows($wide, $long)));
    }

    /**
     * Whether they surely lie side by side: in one row, turned as may be; or by Steinberg's bound, that rectangles no
     * larger than the floor go onto it when twice their area is no more than its own less what the largest sides waste
     * (A. Steinberg, SIAM J. Comput. 26, 1997).
     *
     * @param  list<Line>  $lines
     * @param  array{float, float}  $floorMm
     */
    private static function lieSideBySide(array $lines, array $floorMm): bool
    {
        [$long, $wide] = [max(...$floorMm), min(...$floorMm)];
        $area = $widest = $longest = 0.0;
        foreach ($lines as $line) {
            $sides = $line->part->size->sidesMm();
            if ($sides === []) {
                return false;
            }
            $area += $sides[0] * $sides[1] * $line->quantity;
            $longest = max($longest, $sides[0]);
            $widest = max($widest, $sides[1]);
        }

        return self::inOneRow($lines, $long, $wide) || self::inOneRow($lines, $wide, $long) || ($longest <= $long && $widest <= $wide
            && 2 * $area <= $long * $wide - max(0.0, 2 * $longest - $long) * max(0.0, 2 * $widest - $wide) + 1e-9);
    }

    /** @param  list<Line>  $lines  each turned so that it takes the least of the row's length */
    private static function inOneRow(array $lines, float $length, float $width): bool
    {
        $taken = 0.0;
        foreach ($lines as $line) {
            $sides = $line->part->size->sidesMm();
            if ($sides === [] || $sides[1] > $width + 1e-9) {
                return false;
            }
            $taken += ($sides[0] <= $width + 1e-9 ? $sides[1] : $sides[0]) * $line->quantity;
        }

        return $taken <= $length + 1e-9;
    }

    private static function usual(Line $line): ?string
    {
        return match ($line->role) {
            Role::Display, Role::Board, Role::Cooling => 'behind the panel',
            Role::Controls => 'behind the controls',
            Role::Cells => self::CELLS,
            default => null,
        };
    }

    private static function layer(Line $line): int
    {
        return match ($line->role) {
            Role::Display, Role::Controls => 0,
            Role::Board => 1,
            Role::Cooling => 2,
            default => 3,
        };
    }
}
