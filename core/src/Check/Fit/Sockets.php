<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\FitRule;
use PocketPlot\Check\Meta;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\PlacedPiece;
use PocketPlot\Part\Socket;

final class Sockets extends FitRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'fit.sockets',
            'What is plugged in from outside stands at its opening or at a wall; plugs inside, and cards, find their room.',
            ['socket.face', 'socket.offsetMm', 'socket.depthMm'],
        );
    }

    protected function kinds(): array
    {
        return ['socket', 'opening', 'opening-out', 'plug', 'which-edge', 'card', 'unplug'];
    }

    protected function fine(Fitted $fitted): ?string
    {
        $outside = array_filter(
            $fitted->placed,
            static fn (PlacedPiece $one): bool => array_filter($one->piece->line->part->sockets, static fn (Socket $socket): bool => $socket->outside) !== [],
        );

        return $outside === [] ? null : 'Every socket that is used from outside stands at a wall.';
    }
}
