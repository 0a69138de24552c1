<?php

declare(strict_types=1);

namespace PocketPlot\Wiring;

use PocketPlot\Build\Line;
use PocketPlot\Part\Socket;

/** Finds the lead of a parts list that goes from one socket to another. */
final class Leads
{
    /** Ends that are soldered or screwed to loose wires: any two of them meet without a lead. */
    private const LOOSE = ['pogo', 'wires', 'pads', 'pins', 'terminal', 'power-terminal', 'power-pins', 'power-lead'];

    /**
     * The same for power alone, which goes over USB sockets and power inlets alike.
     *
     * @param  list<Line>  $leads
     * @return list<Line>|null
     */
    public static function forPower(array $leads, Socket $from, Socket $to): ?array
    {
        $isLoose = static fn (Socket $socket): bool => in_array($socket->connector, self::LOOSE, true);
        if ((($from->ownLead || $to->ownLead) && $from->connector === $to->connector) || ($isLoose($from) && $isLoose($to))) {
            return [];
        }
        foreach ($leads as $line) {
            foreach (['power', 'usb'] as $signal) {
                if ($line->part->cable?->joins($from->connector, $to->connector, $signal) === true) {
                    return [$line];
                }
            }
        }

        return null;
    }

    /**
     * @param  list<Line>  $leads  lines whose part is a cable
     * @param  list<Line>  $used  leads that are taken
     * @return list<Line>|null the lead needed: none when one side brings its own or both are wired, null when there is none
     */
    public static function between(array $leads, Socket $from, Socket $to, array $used = []): ?array
    {
        if ($from->carries !== $to->carries) {
            return null;
        }
        if (($from->ownLead || $to->ownLead) && $from->connector === $to->connector) {
            return [];
        }
        if (in_array($from->connector, self::LOOSE, true) && in_array($to->connector, self::LOOSE, true)) {
            return [];
        }
        foreach ($leads as $line) {
            if (! in_array($line, $used, true) && $line->part->cable?->joins($from->connector, $to->connector, $from->carries) === true) {
                return [$line];
            }
        }

        return null;
    }
}
