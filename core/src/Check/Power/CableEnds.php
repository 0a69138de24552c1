<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Direction;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Role;
use PocketPlot\Part\Socket;
use PocketPlot\Part\YesNo;

final class CableEnds extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.cable-ends',
            'A usb-c inlet asks for its power, so that any cable charges it, not only one with a flat plug at the far end.',
            ['socket.sense'],
        );
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('sockets');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        foreach ($line->part->sockets as $socket) {
            if ($socket->connector === 'usb-c' && $socket->carries === 'power' && $socket->direction === Direction::In) {
                yield $this->judge($line, $socket, $facts);
            }
        }
    }

    /** A lead with a flat plug at the supply's end. */
    private static function flatLead(Facts $facts): ?Line
    {
        foreach ($facts->with('cable') as $lead) {
            if ($lead->part->cable?->joins('usb-a', 'usb-c', 'power') === true || $lead->part->cable?->joins('usb-a', 'usb-c', 'usb') === true) {
                return $lead;
            }
        }

        return null;
    }

    /** What the list has to charge it with, none of which gives anything. */
    private function alikeEnds(Facts $facts): ?Line
    {
        foreach ($facts->with('cable') as $lead) {
            if ($lead->part->cable?->joins('usb-c', 'usb-c', 'power') === true) {
                return $lead;
            }
        }
        foreach ($facts->with('poweredBy') as $supply) {
            foreach ($supply->part->sockets as $socket) {
                if ($socket->connector === 'usb-c' && $socket->gives()) {
                    return $supply;
                }
            }
        }

        return null;
    }

    private function judge(Line $line, Socket $socket, Facts $facts): Finding
    {
        $working = [$this->text("{$line->name()}, {$socket->name}: sense resistors", $socket->sense === YesNo::Unknown ? '' : $socket->sense->value)];
        $flat = self::flatLead($facts);
        if ($socket->sense === YesNo::Unknown && $flat === null) {
            return $this->unmeasured($line, FigureRef::socket($socket, 'sense'), [], [], $socket->name, 'nobody knows which cables will charge it');
        }
        if ($socket->sense === YesNo::Yes) {
            return $this->answer(
                Verdict::Fits,
                [$line],
                fn (): Words => new Words("Any cable charges {$line->name()}.", $working, 'it asks for its power'),
                $socket->name,
            );
        }
        if ($flat !== null) {
            return $this->answer(
                Verdict::Fits,
                [$line, $flat],
                fn (): Words => new Words(
                    "{$line->name()} charges with {$flat->name()}; a cable with two alike ends ".($socket->sense === YesNo::No ? 'will' : 'may').' not do.',
                    $working,
                    'a flat plug gives without being asked',
                ),
                $socket->name,
            );
        }
        $alike = $this->alikeEnds($facts);

        return $this->answer($alike === null ? Verdict::Missing : Verdict::Clash, $alike === null ? [$line] : [$line, $alike], fn (): Words => new Words(
            "Only a cable with a flat usb-a plug at the far end charges {$line->name()}: a supply gives nothing over two alike ends until it is asked.",
            $working,
            'no sense resistors',
            [
                Remedy::add(Role::Cable, 'Add a usb-a to usb-c lead'),
                $this->swap($line, 'Take one whose inlet has its resistors'),
                Remedy::byHand('Two resistors of 5.1 kΩ from the inlet\'s two sense contacts to minus; fine soldering.'),
            ]), $socket->name);
    }
}
