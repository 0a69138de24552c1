<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Build\Line;
use PocketPlot\Part\Controls;
use PocketPlot\Part\Role;

/**
 * What lies over what. Parts whose line names a place share that column; all others are stacked by what
 * they usually are (panel over board, controls and cells on their own), and only when they cannot lie
 * side by side.
 */
final class Columns
{
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
                $columns[$line->place][] = $line;
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

    private static function usual(Line $line): ?string
    {
        return match ($line->role) {
            Role::Display, Role::Board, Role::Cooling => 'behind the panel',
            Role::Controls => 'behind the controls',
            Role::Cells => 'at the cells',
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
