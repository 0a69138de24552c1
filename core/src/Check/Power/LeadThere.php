<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\FeedRule;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;
use PocketPlot\Part\Socket;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Giver;

final class LeadThere extends FeedRule
{
    public static function meta(): Meta
    {
        return new Meta('power.lead', 'Between two parts with sockets there is a lead whose ends fit both, or wires by hand.');
    }

    protected function ofFeed(Feed $feed, Giver $giver, Facts $facts): iterable
    {
        foreach ($feed->line->part->sockets as $socket) {
            if ($socket->carries === 'usb' && $socket->takes() && $socket->ownLead) {
                // A plug on a fixed lead is control.usb-slots' affair.
                return;
            }
        }
        $lead = $facts->leadOf($feed);
        if ($facts->lacksLead($feed)) {
            yield $this->lacking($feed->line, $giver->line);
        } elseif ($lead !== null && ($feed->join === null || $feed->join->through === '')) {
            yield $this->answer(Verdict::Fits, [$feed->line, $giver->line, $lead], fn (): Words => new Words(
                "{$lead->name()} goes from {$giver->line->name()} to {$feed->line->name()}.",
                [],
                'both ends fit',
            ), $giver->line->id);
        }
    }

    private function lacking(Line $line, Line $giver): Finding
    {
        $from = self::sockets($giver, static fn (Socket $socket): bool => $socket->gives());
        $to = self::sockets($line, static fn (Socket $socket): bool => $socket->takes());
        $ends = ($from[0]->connector ?? '').' at '.$giver->name().', '.($to[0]->connector ?? '').' at '.$line->name();

        return $this->answer(Verdict::Missing, [$line, $giver], fn (): Words => new Words(
            "No lead goes from {$giver->name()} to {$line->name()}: it needs {$ends}.",
            [$this->text($giver->name(), self::connectors($from)), $this->text($line->name(), self::connectors($to))],
            'no free lead with these two ends',
            [Remedy::add(Role::Cable, "Add a lead: {$ends}"), Remedy::byHand('Solder or screw wires to both, and write their gauge and length at the join.')],
        ), $giver->id);
    }

    /**
     * @param  callable(Socket): bool  $way
     * @return list<Socket>
     */
    private static function sockets(Line $line, callable $way): array
    {
        return array_values(array_filter(
            $line->part->sockets,
            static fn (Socket $socket): bool => in_array($socket->carries, ['power', 'usb'], true) && $way($socket),
        ));
    }

    /** @param  list<Socket>  $sockets */
    private static function connectors(array $sockets): string
    {
        return implode(', ', array_map(static fn (Socket $socket): string => $socket->connector, $sockets));
    }
}
