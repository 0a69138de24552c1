<?php

declare(strict_types=1);

namespace PocketPlot\Wiring;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\Socket;
use PocketPlot\Power\Feed;
use PocketPlot\Power\SupplyTree;
use PocketPlot\Power\Wire;

/** By which sockets and through which lead each feed of a supply tree goes. */
final class PowerLeads
{
    /** @var list<Line> lines whose part is a lead */
    private readonly array $cables;

    public function __construct(private readonly Build $build, private readonly SupplyTree $tree)
    {
        $this->cables = array_values(array_filter($build->chosen(), static fn (Line $line): bool => $line->part->cable !== null));
    }

    /** @return array{?Socket, ?Socket} the sockets by which the power goes over, where both sides have some: the giver's, the taker's */
    public function sockets(Feed $feed): array
    {
        $feeds = static fn (Socket $socket): bool => $socket->carries === 'usb' || $socket->carries === 'power';
        $giver = $this->tree->rails[$feed->railId]->line;
        foreach ($feed->line->part->sockets as $to) {
            if (! $feeds($to) || ! $to->takes()) {
                continue;
            }
            foreach ($giver->part->sockets as $from) {
                if ($feeds($from) && $from->gives() && ($from->connector === $to->connector || $this->between($from, $to) !== null)) {
                    return [$from, $to];
                }
            }
        }

        return [null, null];
    }

    /** The lead that the builder settled, else the first that goes from the one socket to the other. */
    public function lead(Feed $feed): ?Line
    {
        if ($feed->join !== null && $feed->join->through !== '') {
            return $this->build->line($feed->join->through);
        }
        if ($this->tree->outputOf($this->tree->rails[$feed->railId])?->wireless === true || $this->tree->rails[$feed->railId]->line === $feed->line) {
            return null;
        }
        [$from, $to] = $this->sockets($feed);

        return $from === null || $to === null ? null : $this->between($from, $to);
    }

    /** @return array<string, float> usual ohm of the lead or wires before each input, by Feed::key(); those that nobody knows are left out */
    public function ohms(): array
    {
        $ohms = [];
        foreach ($this->tree->feeds as $key => $feed) {
            $join = $feed->join;
            if ($join !== null && $join->gaugeAwg !== null && $join->lengthMm !== null) {
                $ohms[$key] = Wire::ohm($join->gaugeAwg, $join->lengthMm);

                continue;
            }
            $cable = $this->lead($feed)?->part->cable;
            if ($cable !== null && $cable->gaugeAwg->isKnown() && $cable->lengthMm->isKnown()) {
                $ohms[$key] = Wire::leadOhm($cable->gaugeAwg->usual(), $cable->lengthMm->usual(), $cable->oneEnd, $cable->otherEnd);
            }
        }

        return $ohms;
    }

    private function between(Socket $from, Socket $to): ?Line
    {
        foreach ($this->cables as $line) {
            foreach ([$from->carries, 'power'] as $signal) {
                if ($line->part->cable?->joins($from->connector, $to->connector, $signal) === true) {
                    return $line;
                }
            }
        }

        return null;
    }
}
