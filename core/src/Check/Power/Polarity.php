<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\YesNo;

final class Polarity extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('power.polarity', 'Plus meets plus where a pack is plugged in.', ['socket.polarity']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('pack');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        foreach ($line->part->sockets as $socket) {
            if (str_starts_with($socket->connector, 'jst') && $socket->carries === 'power' && $socket->gives()) {
                yield match ($socket->polarity) {
                    YesNo::Unknown => $this->unmeasured(
                        $line,
                        FigureRef::socket($socket, 'polarity'),
                        [],
                        [],
                        $socket->name,
                        'do not plug it in before somebody has looked',
                    ),
                    YesNo::Yes => $this->answer(Verdict::Fits, [$line], fn (): Words => new Words(
                        "Somebody has made sure that the plug of {$line->name()} is not reversed.", [], 'looked at',
                    ), $socket->name),
                    YesNo::No => $this->answer(Verdict::Clash, [$line], fn (): Words => new Words(
                        "The plug of {$line->name()} is reversed: plugged in, it breaks the board and may burn.",
                        [],
                        'plus meets minus',
                        [Remedy::byHand('Lift the two tabs of the plug and swap its contacts, one at a time, so that they never touch; or have it done.')],
                    ), $socket->name),
                };
            }
        }
    }
}
