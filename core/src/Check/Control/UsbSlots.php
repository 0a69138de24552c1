<?php

declare(strict_types=1);

namespace PocketPlot\Check\Control;

use PocketPlot\Build\Line;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Phrase;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\WholeRule;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Direction;
use PocketPlot\Part\Role;
use PocketPlot\Part\Socket;

final class UsbSlots extends WholeRule
{
    public static function meta(): Meta
    {
        return new Meta('control.usb-slots', 'Everything that plugs into USB finds a socket, with one to spare for a keyboard at first start.');
    }

    protected function ofWhole(Facts $facts): iterable
    {
        $users = $givers = [];
        $needed = $there = 0;
        foreach ($facts->lines() as $line) {
            $takes = $gives = 0;
            foreach ($line->part->sockets as $socket) {
                $takes += self::takesSlot($socket) ? $socket->count : 0;
                $gives += $socket->carries === 'usb' && $socket->gives() && $line->part->hostsUsb() ? $socket->count : 0;
            }
            if ($takes > 0) {
                $users[] = $line;
                $needed += $takes * $line->quantity;
            }
            if ($gives > 0) {
                $givers[] = $line;
                $there += $gives * $line->quantity;
            }
        }
        if ($users === []) {
            return;
        }
        $working = [
            ...array_map(fn (Line $line) => $this->count("{$line->name()} takes", $this->sockets($line, false), 'sockets', 'datasheet'), $users),
            ...array_map(fn (Line $line) => $this->count("{$line->name()} gives", $this->sockets($line, true), 'sockets', 'datasheet'), $givers),
        ];
        yield from $this->wrongEnds($users, $givers, $facts);
        // A keyboard is only wanted where a system has to be set up.
        $isSetUp = array_filter(
            $givers,
            static fn (Line $line): bool => $line->part->panel?->touch === true || $line->part->software?->card === 'built-in',
        ) !== [];
        $spare = $isSetUp ? 0 : (int) $facts->margin('usb-spare');
        $verdict = match (true) {
            $needed > $there => Verdict::Clash,
            $needed + $spare > $there => Verdict::Tight,
            default => Verdict::Fits,
        };
        $says = match ($verdict) {
            Verdict::Clash => self::looking($needed, $there),
            Verdict::Tight => ($there === 1 ? 'The only USB socket is taken' : "All {$there} USB sockets are taken")
                .'; a keyboard for the first start has to wait its turn.',
            default => "{$needed} of {$there} USB sockets ".($needed === 1 ? 'is' : 'are').' taken.',
        };
        yield $this->answer($verdict, [...$users, ...$givers], fn (): Words => new Words(
            $says,
            $working,
            "{$needed} needed, {$there} there, ".$spare.' wanted to spare',
            $verdict === Verdict::Fits ? [] : [
                Remedy::add(Role::Cable, 'Add a hub'),
                ...array_map(
                    static fn (Line $line): Remedy => Remedy::swap($line->id, $line->role, "Take another part for {$line->name()}"),
                    [...$givers, ...$users],
                ),
            ]));
    }

    /**
     * Plugs on fixed leads that no socket takes, with no adapter on the list.
     *
     * @param  list<Line>  $users
     * @param  list<Line>  $givers
     * @return iterable<Finding>
     */
    private function wrongEnds(array $users, array $givers, Facts $facts): iterable
    {
        $there = [];
        foreach ($givers as $line) {
            foreach ($line->part->sockets as $socket) {
                if ($socket->carries === 'usb' && $socket->gives()) {
                    $there[$socket->connector] = $line;
                }
            }
        }
        foreach ($there === [] ? [] : $users as $line) {
            foreach ($line->part->sockets as $socket) {
                if ($socket->carries !== 'usb' || $socket->direction !== Direction::In || ! $socket->ownLead || isset($there[$socket->connector])) {
                    continue;
                }
                $joined = array_filter(
                    $facts->with('cable'),
                    static fn (Line $lead): bool => isset($there[$lead->part->cable?->leadsFrom($socket->connector, 'usb') ?? '']),
                );
                if ($joined === []) {
                    $host = array_values($there)[0];
                    $has = implode(' and ', array_keys($there));
                    yield $this->answer(Verdict::Missing, [$line, $host], fn (): Words => new Words(
                        "The plug of {$line->name()} is {$socket->connector}; {$host->name()} has {$has}.",
                        [$this->text($line->name(), $socket->connector), $this->text($host->name(), $has)],
                        'the ends differ',
                        [Remedy::add(Role::Cable, "Add an adapter from {$socket->connector} to {$has}, or a hub that has both")],
                    ), "{$line->id}/ends");
                }
            }
        }
    }

    /** A sound stick takes up a slot as a pad does. */
    private static function takesSlot(Socket $socket): bool
    {
        return $socket->direction === Direction::In
            && ($socket->carries === 'usb' || ($socket->carries === 'usb-audio' && str_starts_with($socket->connector, 'usb')));
    }

    private function sockets(Line $line, bool $given): int
    {
        $count = 0;
        foreach ($line->part->sockets as $socket) {
            $count += ($given ? $socket->carries === 'usb' && $socket->gives() : self::takesSlot($socket)) ? $socket->count : 0;
        }

        return $count * $line->quantity;
    }

    private static function looking(int $needed, int $there): string
    {
        return sprintf(
            '%s %s for a socket; there %s.',
            ucfirst(Phrase::count($needed, 'USB plugs')),
            $needed === 1 ? 'looks' : 'look',
            match ($there) {
                0 => 'is none', 1 => 'is one', default => "are {$there}"
            },
        );
    }
}
