<?php

declare(strict_types=1);

namespace PocketPlot\Fit;

use PocketPlot\Part\Opening;
use PocketPlot\Part\Socket;

/** Where a socket of a turned part comes to lie. */
final class SocketPlace
{
    /**
     * Along which axis a place on this side of the body is counted: down the left and right, along all others.
     *
     * @return 0|1
     */
    public static function axisAlong(string $side): int
    {
        return $side === 'left' || $side === 'right' ? 1 : 0;
    }

    /** Millimetres by which an opening, as it is written down, lies beyond a side of this length; nought where it does not. */
    public static function beyond(Opening $opening, float $sideMm): float
    {
        return $opening->offsetMm->isKnown() ? max(0.0, abs($opening->offsetMm->usual()) + ($opening->widthMm->most ?? 0.0) / 2 - $sideMm / 2) : 0.0;
    }

    /**
     * Its middle, from the corner of the turned part; the middle of its edge where nobody wrote down how far it is off.
     *
     * @return array{float, float, float}
     */
    public static function of(Socket $socket, Shape $shape, Turn $turn): array
    {
        $own = [$shape->sides[0] / 2, $shape->sides[1] / 2, $shape->sides[2] / 2];
        foreach (Turn::SIDES as $axis => $ends) {
            if (in_array($socket->face, $ends, true)) {
                $own[$axis] = $socket->face === $ends[0] ? 0.0 : $shape->sides[$axis];
                $own[self::axisAlong($socket->face)] += $socket->offsetMm->isKnown() ? $socket->offsetMm->usual() : 0.0;
            }
        }
        $point = $turn->box(new Box($own[0], $own[1], $own[2], 0.0, 0.0, 0.0), $shape->sides);

        return [$point->x, $point->y, $point->z];
    }
}
