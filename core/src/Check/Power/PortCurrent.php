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
use PocketPlot\Check\WorkingLine;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\FigureRef;
use PocketPlot\Part\Role;
use PocketPlot\Part\Socket;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Giver;
use PocketPlot\Quantity\Constants;
use PocketPlot\Quantity\Figure;
use PocketPlot\Quantity\Source;

final class PortCurrent extends FeedRule
{
    public static function meta(): Meta
    {
        return new Meta(
            'power.port-current',
            'No socket or plug carries more than it is made for.',
            ['supply.drawMa', 'supply.drawAtV', 'supply.peakMa', 'socket.ratingMa', 'output.efficiency'],
        );
    }

    protected function ofFeed(Feed $feed, Giver $giver, Facts $facts): iterable
    {
        if ($feed->line->id === $giver->line->id || $giver->output()?->wireless === true) {
            return;
        }
        [$from, $to] = $facts->socketsOf($feed);
        if ($from !== null && $to !== null) {
            yield $this->judge($feed, $giver, $from, $to, $facts);
        }
    }

    private function judge(Feed $feed, Giver $giver, Socket $from, Socket $to, Facts $facts): Finding
    {
        $line = $feed->line;
        $about = $giver->line->id;
        [, $peak, $missing] = $facts->demandOf($feed);
        if ($missing !== []) {
            return $this->unmeasured(
                $missing[0]->line,
                $missing[0]->figure,
                [$line, $giver->line],
                [],
                "{$line->id}/{$about}",
                "nobody can say what the {$from->name} of {$giver->line->name()} has to carry",
            );
        }
        if (! $giver->volts->isKnown() || $giver->volts->least() <= 0.0) {
            return $this->unmeasured($giver->line, $giver->voltsRef(), [$line], [], "{$line->id}/{$about}");
        }
        // Several of a kind plug in one by one.
        $need = $peak->most() / max(1, $line->quantity) / $giver->volts->least() * 1000;
        $working = [$this->row("{$line->name()}, peak", Figure::exactly($need, 'mA', Source::WorkedOut->with($peak->source)))];
        [$rating, $rows, $open] = $this->rating($line, $to, $giver->line, $from);
        $working = [...$working, ...$rows];
        if ($open !== null) {
            [$owner, $socket] = $open;
            // The family's standard is what it bears at least; its maker may allow more.
            $why = $rating > 0.0 && is_finite($rating) ? sprintf('nobody can say whether it carries %s mA', self::n($need)) : '';
            if ($why === '' || $need > $rating) {
                $other = $owner === $line ? $giver->line : $line;

                return $this->unmeasured($owner, FigureRef::socket($socket, 'ratingMa'), [$other], $working, "{$line->id}/{$about}", $why);
            }
        }
        $share = $rating > 0.0 ? $need / $rating : INF;
        $tightAt = $facts->margin('rail-share');

        $verdict = self::byShare($share, $tightAt);

        return $this->answer($verdict, [$line, $giver->line],
            fn (): Words => new Words(sprintf(
                '%s takes up to %s mA through the %s of %s, which is made for %s mA.',
                $line->name(),
                self::n($need),
                $from->name,
                $giver->line->name(),
                self::n($rating),
            ), $working, sprintf(
                '%s %% of the rating; above %s %% counts as tight',
                self::n($share * 100),
                self::n($tightAt * 100),
            ), $verdict === Verdict::Fits ? [] : [
                $this->swap($line, "Take something thriftier for {$line->name()}"),
                $this->swap($giver->line, 'Take one with a stronger socket'),
                Remedy::add(Role::Cable, 'Add a hub with a supply of its own'),
            ]), $about);
    }

    /**
     * What the weaker of two sockets is made for, by its own figure or by that of its family.
     *
     * @return array{float, list<WorkingLine>, array{Line, Socket}|null} milliamps, the working, and the first socket of which only the family is known; nought when not even that
     */
    private function rating(Line $taker, Socket $to, Line $giver, Socket $from): array
    {
        $rating = INF;
        $rows = [];
        $open = null;
        foreach ([[$giver, $from], [$taker, $to]] as [$owner, $socket]) {
            $isPort = $owner === $giver && $socket->carries === 'usb';
            $family = ($isPort ? Constants::USB_PORT_MA : Constants::CONNECTOR_MA)[$socket->connector] ?? null;
            if ($socket->ratingMa->isKnown()) {
                $rows[] = $this->row("{$owner->name()}, {$socket->name}", $socket->ratingMa);
                $rating = min($rating, $socket->ratingMa->least());

                continue;
            }
            if ($family === null) {
                return [0.0, $rows, [$owner, $socket]];
            }
            $rows[] = $this->count("{$owner->name()}, {$socket->name} ({$socket->connector}, as its family)", $family, 'mA', 'datasheet');
            $rating = min($rating, $family);
            $open ??= [$owner, $socket];
        }

        return [$rating, $rows, $open];
    }
}
