<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Build\Line;
use PocketPlot\Check\Answers;
use PocketPlot\Check\Finding;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Verdict;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Role;
use PocketPlot\Part\Socket;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Rail;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Figure;

final class PortCurrent implements Rule
{
    use Answers;

    public static function meta(): Meta
    {
        return new Meta('power.port-current', 'No socket or plug carries more than it is made for.',
            ['supply', 'supplies', 'outputs', 'pack', 'sockets', 'livesOn', 'cable'],
            ['supply.drawMa', 'supply.drawAtV', 'supply.peakMa', 'socket.ratingMa', 'output.efficiency']);
    }

    public function check(Facts $facts): iterable
    {
        $tree = $facts->supplyTree();
        foreach ($tree->feeds as $feed) {
            $rail = $tree->rails[$feed->railId];
            [$from, $to] = self::sockets($facts, $feed, $rail->line);
            if ($from !== null && $to !== null) {
                yield $this->judge($feed, $rail, $from, $to, $facts);
            }
        }
    }

    /** @return array{?Socket, ?Socket} the sockets by which the power goes over, where both sides have some */
    public static function sockets(Facts $facts, Feed $feed, Line $giver): array
    {
        $feeds = static fn (Socket $socket): bool => $socket->carries === 'usb' || $socket->carries === 'power';
        foreach ($feed->line->part->sockets as $to) {
            if (! $feeds($to) || ! $to->takes()) {
                continue;
            }
            foreach ($giver->part->sockets as $from) {
                if ($feeds($from) && $from->gives() && ($from->connector === $to->connector || self::lead($facts, $from, $to) !== null)) {
                    return [$from, $to];
                }
            }
        }

        return [null, null];
    }

    public static function lead(Facts $facts, Socket $from, Socket $to): ?Line
    {
        foreach ($facts->with('cable') as $line) {
            foreach ([$from->carries, 'power'] as $signal) {
                if ($line->part->cable?->joins($from->connector, $to->connector, $signal) === true) {
                    return $line;
                }
            }
        }

        return null;
    }

    private function judge(Feed $feed, Rail $rail, Socket $from, Socket $to, Facts $facts): Finding
    {
        $line = $feed->line;
        $about = $rail->line->id;
        [, $peak, $missing] = $facts->supplyTree()->demandOf($feed);
        if ($missing !== []) {
            return $this->unmeasured($missing[0]->line, $missing[0]->figure, [$line, $rail->line], [], "{$line->id}/{$about}", "nobody can say what the {$from->name} of {$rail->line->name()} has to carry");
        }
        if (! $rail->volts->isKnown() || $rail->volts->least() <= 0.0) {
            return $this->unmeasured($rail->line, $rail->voltsRef(), [$line], [], "{$line->id}/{$about}");
        }
        // Several of a kind plug in one by one.
        $need = $peak->most() / max(1, $line->quantity) / $rail->volts->least() * 1000;
        $working = [$this->row("{$line->name()}, peak", Figure::exactly($need, 'mA'))];
        $rating = INF;
        foreach ([[$rail->line, $from], [$line, $to]] as [$owner, $socket]) {
            $isPort = $owner === $rail->line && $socket->carries === 'usb';
            $family = ($isPort ? Constants::USB_PORT_MA : Constants::CONNECTOR_MA)[$socket->connector] ?? null;
            if ($socket->ratingMa->isKnown()) {
                $working[] = $this->row("{$owner->name()}, {$socket->name}", $socket->ratingMa);
                $rating = min($rating, $socket->ratingMa->least());
            } elseif ($family !== null) {
                $working[] = $this->count("{$owner->name()}, {$socket->name} ({$socket->connector}, as its family)", $family, 'mA', 'datasheet');
                $rating = min($rating, $family);
            } else {
                return $this->unmeasured($owner, FigureRef::socket($socket, 'ratingMa'), [$owner === $line ? $rail->line : $line], $working, "{$line->id}/{$about}");
            }
        }
        foreach ([[$rail->line, $from], [$line, $to]] as [$owner, $socket]) {
            if ($need > $rating && ! $socket->ratingMa->isKnown()) {
                // The family's standard is what it bears at least; its maker may allow more.
                return $this->unmeasured($owner, FigureRef::socket($socket, 'ratingMa'), [$owner === $line ? $rail->line : $line], $working, "{$line->id}/{$about}", sprintf('nobody can say whether it carries %s mA', self::n($need)));
            }
        }
        $share = $rating > 0.0 ? $need / $rating : INF;
        $tightAt = $facts->margin('rail-share');

        $verdict = self::byShare($share, $tightAt);

        return $this->answer($verdict, [$line, $rail->line],
            sprintf('%s takes up to %s mA through the %s of %s, which is made for %s mA.', $line->name(), self::n($need), $from->name, $rail->line->name(), self::n($rating)),
            $working, sprintf('%s %% of the rating; above %s %% counts as tight', self::n($share * 100), self::n($tightAt * 100)), $verdict === Verdict::Fits ? [] : [
                $this->swap($line, "Take something thriftier for {$line->name()}"),
                $this->swap($rail->line, 'Take one with a stronger socket'),
                Remedy::add(Role::Cable, 'Add a hub with a supply of its own'),
            ], $about);
    }
}
