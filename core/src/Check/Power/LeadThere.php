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
use PocketPlot\Power\Rail;
use PocketPlot\Wiring\Leads;

final class LeadThere extends FeedRule
{
    public static function meta(): Meta
    {
        return new Meta('power.lead', 'Between two parts with sockets there is a lead whose ends fit both, or wires by hand.');
    }

    protected function ofFeed(Feed $feed, Rail $rail, Facts $facts): iterable
    {
        $join = $feed->join;
        // Who has named the lead or the wires has one; who feeds himself needs none.
        if (($join !== null && ($join->through !== '' || $join->gaugeAwg !== null)) || $feed->line->id === $rail->line->id || $rail->output()?->wireless === true) {
            return;
        }
        $from = self::sockets($rail->line, static fn (Socket $socket): bool => $socket->gives());
        $to = self::sockets($feed->line, static fn (Socket $socket): bool => $socket->takes());
        if ($from === [] || $to === []) {
            return;
        }
        $finding = $this->judge($feed->line, $rail->line, $from, $to, $facts);
        if ($finding !== null) {
            yield $finding;
        }
    }

    /**
     * @param  non-empty-list<Socket>  $from
     * @param  non-empty-list<Socket>  $to
     */
    private function judge(Line $line, Line $giver, array $from, array $to, Facts $facts): ?Finding
    {
        foreach ($from as $gives) {
            foreach ($to as $takes) {
                $lead = Leads::forPower($facts->with('cable'), $gives, $takes);
                if ($lead === []) {
                    return null;
                }
                if ($lead !== null) {
                    return $this->answer(Verdict::Fits, [$line, $giver, ...$lead], fn (): Words => new Words(
                        "{$lead[0]->name()} goes from {$giver->name()} to {$line->name()}.",
                        [],
                        'both ends fit',
                    ), $giver->id);
                }
            }
        }
        $ends = "{$from[0]->connector} at {$giver->name()}, {$to[0]->connector} at {$line->name()}";

        return $this->answer(Verdict::Missing, [$line, $giver], fn (): Words => new Words(
            "No lead goes from {$giver->name()} to {$line->name()}: it needs {$ends}.",
            [
                $this->text($giver->name(), implode(', ', array_map(static fn (Socket $socket): string => $socket->connector, $from))),
                $this->text($line->name(), implode(', ', array_map(static fn (Socket $socket): string => $socket->connector, $to))),
            ],
            'no lead with these two ends',
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
}
