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
use PocketPlot\Part\Socket;

final class Hum extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('audio.hum', 'An amplifier that shares its supply with the computer and hears it over a wire does not hum.', ['amp.hum']);
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('amp');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $board = $facts->board();
        $hears = array_filter(
            $line->part->sockets,
            static fn (Socket $socket): bool => $socket->carries === 'analogue-audio' && $socket->takes() && $socket->connector === 'jack-3.5',
        );
        if ($board === null || $board->id === $line->id || $hears === []) {
            return;
        }
        $mine = $facts->giverOf($line);
        $its = $facts->giverOf($board);
        if ($mine === null || $its === null) {
            return;
        }
        foreach ($facts->with('serves') as $other) {
            if (in_array('audio isolation', $other->part->work->serves, true)) {
                yield $this->answer(Verdict::Fits, [$line, $other], fn (): Words => new Words(
                    "{$other->name()} keeps the ground of {$line->name()} apart from that of {$board->name()}.", [], 'isolated',
                ));

                return;
            }
        }
        $hum = FigureRef::of('amp', 'hum');
        yield $this->answer(Verdict::Unmeasured, [$line, $board], fn (): Words => new Words(
            "{$line->name()} and {$board->name()} share a supply and a sound lead, which often hums: listen on the bench before it is built in.",
            [$this->text($line->name(), $mine->says(), 'worked out'), $this->text($board->name(), $its->says(), 'worked out')],
            'cannot be compared yet',
            [Remedy::measure($line->id, $hum)],
        ), waitsFor: [[$line->id, $hum]]);
    }
}
