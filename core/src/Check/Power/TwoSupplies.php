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
use PocketPlot\Part\PoweredBy;
use PocketPlot\Part\Socket;

final class TwoSupplies extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('power.two-supplies', 'No two supplies are joined at one inlet, where one would push into the other.');
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('charger');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $inlets = array_values(array_filter($line->part->sockets, static fn (Socket $socket): bool => $socket->carries === 'power' && $socket->takes()));
        $coils = array_values(
            array_filter(
                $facts->with('coil'),
                static fn (Line $one): bool => $one->part->coil?->side === 'receiver' && $one->part->outputs !== [] && $one->id !== $line->id,
            ),
        );
        $walls = array_values(
            array_filter($facts->with('poweredBy'), static fn (Line $one): bool => $one->part->poweredBy === PoweredBy::Mains && $one->part->outputs !== []),
        );
        if (count($inlets) < 2 || $coils === [] || $walls === []) {
            return;
        }
        yield $this->answer(Verdict::Tight, [$line, $coils[0], $walls[0]], fn (): Words => new Words(
            "{$coils[0]->name()} and a lead both end at {$line->name()}: with both live, one pushes into the other.",
            array_map(fn (Socket $socket) => $this->text($line->name(), "{$socket->name} ({$socket->connector})"), $inlets),
            'holds while only one of them is live',
            [
                Remedy::byHand('Leave one of the two off; or a diode in each line; or a charge board with two inlets of its own.'),
                $this->swap($coils[0], 'Charge through the lead only'),
            ],
        ));
    }
}
