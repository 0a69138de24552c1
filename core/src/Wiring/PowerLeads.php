<?php

declare(strict_types=1);

namespace PocketPlot\Wiring;

use PocketPlot\Build\Build;
use PocketPlot\Build\Line;
use PocketPlot\Part\Socket;
use PocketPlot\Power\Feed;
use PocketPlot\Power\SupplyTree;
use PocketPlot\Power\Wire;

/**
 * By which sockets and through which lead each feed of a supply tree goes. A lead serves one pair: those that the builder
 * named are taken first, then each feed takes the first free one whose two ends fit.
 */
final class PowerLeads
{
    /** @var list<Line> lines whose part is a lead */
    private readonly array $cables;

    /** @var array<string, array{?Socket, ?Socket, ?Line, bool}>|null by Feed::key(): both sockets, the lead, and whether one is wanted that is not there */
    private ?array $ways = null;

    public function __construct(private readonly Build $build, private readonly SupplyTree $tree)
    {
        $this->cables = array_values(array_filter($build->chosen(), static fn (Line $line): bool => $line->part->cable !== null));
    }

    /** @return array{?Socket, ?Socket} the sockets by which the power goes over, where both sides have some: the giver's, the taker's */
    public function sockets(Feed $feed): array
    {
        [$from, $to] = $this->way($feed);

        return [$from, $to];
    }

    /** The lead that the builder settled, else the first free one that goes from the one socket to the other. */
    public function lead(Feed $feed): ?Line
    {
        return $this->way($feed)[2];
    }

    /** Whether both sides have sockets, and no lead of the list goes from one to the other. */
    public function lacksLead(Feed $feed): bool
    {
        return $this->way($feed)[3];
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

    /** @return array{?Socket, ?Socket, ?Line, bool} */
    private function way(Feed $feed): array
    {
        $this->ways ??= $this->allWays();

        return $this->ways[$feed->key()] ?? [null, null, null, false];
    }

    /** @return array<string, array{?Socket, ?Socket, ?Line, bool}> */
    private function allWays(): array
    {
        $free = [];
        foreach ($this->cables as $line) {
            $free[$line->id] = $line->quantity;
        }
        $ways = $open = [];
        foreach ($this->tree->feeds as $key => $feed) {
            $through = $feed->join === null || $feed->join->through === '' ? null : $this->build->line($feed->join->through);
            if ($through !== null) {
                $free[$through->id] = ($free[$through->id] ?? 1) - 1;
                $ways[$key] = [...$this->pairFor($feed, [$through]), $through, false];
            } else {
                $open[$key] = $feed;
            }
        }
        foreach ($open as $key => $feed) {
            $ways[$key] = $this->find($feed, $free);
        }

        return $ways;
    }

    /**
     * @param  array<string, int>  $free  leads that nobody has taken, by line id
     * @return array{?Socket, ?Socket, ?Line, bool}
     */
    private function find(Feed $feed, array &$free): array
    {
        $rail = $this->tree->rails[$feed->railId];
        if ($rail->line === $feed->line || $this->tree->outputOf($rail)?->wireless === true) {
            return [null, null, null, false];
        }
        [$gives, $takes] = $this->socketsOf($feed);
        // Who has written down the wires has joined the two by hand.
        $byHand = $feed->join !== null && $feed->join->gaugeAwg !== null;
        $leads = array_values(array_filter($this->cables, static fn (Line $line): bool => $free[$line->id] > 0));
        foreach ($gives as $from) {
            foreach ($takes as $to) {
                $lead = Leads::forPower($byHand ? [] : $leads, $from, $to);
                if ($lead !== null) {
                    if ($lead !== []) {
                        $free[$lead[0]->id]--;
                    }

                    return [$from, $to, $lead[0] ?? null, false];
                }
            }
        }
        foreach ($gives as $from) {
            foreach ($takes as $to) {
                if ($from->connector === $to->connector) {
                    return [$from, $to, null, ! $byHand];
                }
            }
        }

        return [null, null, null, ! $byHand && $gives !== [] && $takes !== []];
    }

    /**
     * @param  list<Line>  $leads
     * @return array{?Socket, ?Socket}
     */
    private function pairFor(Feed $feed, array $leads): array
    {
        [$gives, $takes] = $this->socketsOf($feed);
        foreach ($gives as $from) {
            foreach ($takes as $to) {
                if ($from->connector === $to->connector || Leads::forPower($leads, $from, $to) !== null) {
                    return [$from, $to];
                }
            }
        }

        return [null, null];
    }

    /** @return array{list<Socket>, list<Socket>} sockets of the giver that give power, of the taker that take it */
    private function socketsOf(Feed $feed): array
    {
        $feeds = static fn (Socket $socket): bool => $socket->carries === 'usb' || $socket->carries === 'power';
        $giver = $this->tree->rails[$feed->railId]->line;

        return [
            array_values(array_filter($giver->part->sockets, static fn (Socket $socket): bool => $feeds($socket) && $socket->gives())),
            array_values(array_filter($feed->line->part->sockets, static fn (Socket $socket): bool => $feeds($socket) && $socket->takes())),
        ];
    }
}
