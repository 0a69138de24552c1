<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Fit\Spacing;
use PocketPlot\Quantity\Figure;

final class Wires extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('fit.wires', 'Around what lies there, wires, switches and screws find room.', ['size']);
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $fitted = $facts->fitted();
        if ($fitted === null || ! $fitted->isWhole()) {
            return;
        }
        $room = $fitted->insideMm[0] * $fitted->insideMm[1] * $fitted->insideMm[2];
        $filled = $fitted->inventory->filledMm3();
        $share = $room > 0.0 ? $filled / $room : INF;
        $spacing = Spacing::of($facts->brief());
        $lines = array_map(static fn ($placed) => $placed->piece->line, $fitted->placed);
        yield $this->answer(self::byShare($share / $spacing->packingMost - 1e-6, 1.0), $lines, fn (): Words => new Words(
            'The parts take '.self::n($share * 100).' % of the room inside; the rest is for wires, switches and screws.',
            [
                $this->row('All parts, as they are', Figure::exactly($filled / 1000, 'cm³')),
                $this->row('Room inside', Figure::exactly($room / 1000, 'cm³')),
            ],
            'up to '.self::n($spacing->packingMost * 100).' % can be done',
            [Remedy::byHand('Let the body grow a little: longer is easier to hold than thicker.')],
        ), '', true);
    }
}
