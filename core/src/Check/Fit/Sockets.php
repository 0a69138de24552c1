<?php

declare(strict_types=1);

namespace PocketPlot\Check\Fit;

use PocketPlot\Check\Meta;
use PocketPlot\Fit\Fitted;
use PocketPlot\Fit\Lying;
use PocketPlot\Fit\Trouble;
use PocketPlot\Part\Socket;

final class Sockets extends FitRule
{
    public static function meta(): Meta
    {
        return new Meta('fit.sockets', 'What is plugged in from outside stands at its opening or at a wall; plugs inside, and cards, find their room.', ['socket.face', 'socket.offsetMm', 'socket.depthMm']);
    }

    protected function kinds(): array
    {
        return ['socket', 'opening', 'plug', 'which-edge', 'card'];
    }

    protected function sentence(Trouble $trouble): string
    {
        $name = $trouble->piece->name();
        $mm = self::n($trouble->mm);
        $what = $trouble->what === '' ? 'socket' : $trouble->what;

        return match ($trouble->kind) {
            'socket' => "The {$what} of {$name} stands {$mm} mm behind the nearest wall: no plug reaches it.",
            'opening' => $trouble->mm > 0.0 ? "The {$what} of {$name} stands {$mm} mm beside its opening." : "The {$what} of {$name} is at a side that has no opening for it.",
            'plug' => $trouble->other === null
                ? "The plug in the {$what} of {$name} would go {$mm} mm into the wall."
                : "{$trouble->other->name()} lies {$mm} mm in the way of the plug in the {$what} of {$name}.",
            default => 'The '.$what." of {$name} has {$mm} mm before it".($trouble->other === null ? '' : " to {$trouble->other->name()}").': the card cannot be pulled out.',
        };
    }

    protected function fine(Fitted $fitted): ?string
    {
        $outside = array_filter($fitted->lying, static fn (Lying $one): bool => array_filter($one->piece->line->part->sockets, static fn (Socket $socket): bool => $socket->outside) !== []);

        return $outside === [] ? null : 'Every socket that is used from outside stands at a wall.';
    }
}
