<?php

declare(strict_types=1);

namespace PocketPlot\Check\Body;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Body;
use PocketPlot\Part\Cable;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Socket;

final class CableRoom extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'body.cable-room',
            'Plugs that stay inside, and the bend of their leads, find room beside the part.',
            ['socket.depthMm', 'cable.bendMm', 'size', 'body.cavity'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('sockets');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $bodyLine = $facts->bodyLine();
        $body = $bodyLine?->part->body;
        if ($bodyLine === null || $body === null || $body->drawn || ! $line->part->sits->takesRoom() || $line->part->body !== null) {
            return;
        }
        foreach ($line->part->sockets as $socket) {
            foreach ($socket->outside ? [] : $facts->with('cable') as $lead) {
                $cable = $lead->part->cable;
                if ($cable !== null
                    && $lead->part->sits->takesRoom()
                    && in_array($socket->connector, [$cable->oneEnd, $cable->otherEnd], true)
                    && in_array($socket->carries, $cable->carries, true)) {
                    yield $this->judge($line, $socket, $lead, $cable, $bodyLine, $body);
                }
            }
        }
    }

    private function judge(Line $line, Socket $socket, Line $lead, Cable $cable, Line $bodyLine, Body $body): Finding
    {
        $about = "{$socket->name}/{$lead->id}";
        foreach ([[$line, $socket->depthMm, FigureRef::socket($socket, 'depthMm')], [$lead, $cable->bendMm, 'cable.bendMm']] as [$owner, $figure, $key]) {
            if (! $figure->isKnown()) {
                return $this->unmeasured($owner, $key, [$owner === $line ? $lead : $line, $bodyLine], [], $about);
            }
        }
        if (! $line->part->size->hasAllSides()) {
            return $this->unmeasured($line, 'size', [$bodyLine], [], $about);
        }
        $room = $body->cavity()->sidesMm();
        if ($room === []) {
            return $this->unmeasured($bodyLine, 'body.cavity', [$line], [], $about);
        }
        $needs = $socket->depthMm->most() + $cable->bendMm->most();
        // Sideways in whichever direction has more to spare; the part can be turned on the floor.
        $sides = $line->part->size->sidesMm();
        $beside = max(
            $room[0] - $sides[0],
            $room[1] - $sides[1],
            $room[0] - $sides[1] >= 0 && $room[1] - $sides[0] >= 0 ? max($room[0] - $sides[1], $room[1] - $sides[0]) : 0.0,
        );
        $verdict = self::byMargin($beside - $needs, 2.0);

        return $this->answer($verdict, [$line, $lead, $bodyLine], fn (): Words => new Words(sprintf(
            $verdict === Verdict::Clash
                ? 'Beside %s there are %s mm; plug and bend of %s want %s mm.'
                : 'Beside %s there are %s mm for plug and bend of %s, which want %s mm.',
            $line->name(),
            self::n($beside),
            $lead->name(),
            self::n($needs),
        ), [
            $this->row("{$socket->name}, depth with its plug", $socket->depthMm), $this->row("{$lead->name()}, room to bend", $cable->bendMm),
            new WorkingLine($line->name(), implode(' × ', array_map(self::n(...), $sides)), 'mm', $line->part->size->lengthMm->source->value), new WorkingLine(
                "{$bodyLine->name()}, room inside",
                implode(' × ', array_map(self::n(...), $room)),
                'mm',
                $body->cavityLengthMm->source->value,
            ),
        ], self::n($beside - $needs).' mm to spare', [
            $this->swap($lead, 'Take a lead with an angled plug or a ribbon'),
            $this->swap($bodyLine, 'Take a larger body'),
            Remedy::byHand('Pull the socket off and solder the wires; test after every cut.'),
        ]), $about);
    }
}
