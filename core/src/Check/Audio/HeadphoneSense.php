<?php

declare(strict_types=1);

namespace PocketPlot\Check\Audio;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\YesNo;

final class HeadphoneSense extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('audio.headphone-sense', 'The loudspeaker falls silent when headphones are plugged in.', ['socket.sense']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('speaker') === [] ? [] : $facts->with('sockets');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        foreach ($line->part->sockets as $socket) {
            if ($socket->carries !== 'headphones' || ! $socket->gives()) {
                continue;
            }
            if ($socket->sense === YesNo::Unknown) {
                yield $this->unmeasured($line, FigureRef::socket($socket, 'sense'), $facts->with('speaker'), [], $socket->name);

                continue;
            }
            $senses = $socket->sense === YesNo::Yes;
            yield $this->answer($senses ? Verdict::Fits : Verdict::Tight, [$line, ...$facts->with('speaker')],
                fn (): Words => new Words($senses
                    ? "{$line->name()} silences the loudspeaker when headphones are in."
                    : "{$line->name()} does not notice headphones; the loudspeaker plays on.", [
                        $this->text("{$socket->name} notices a plug", $socket->sense->value),
                    ], $senses ? 'a switch in the socket' : 'no switch in the socket', [
                        $this->swap($line, 'Take one whose socket notices a plug'), Remedy::byHand(
                            'A small switch in the loudspeaker\'s lead, or a socket with break contacts.',
                        ),
                    ]), $socket->name);
        }
    }
}
