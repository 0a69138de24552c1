<?php

declare(strict_types=1);

namespace PocketPlot\Check\Money;

use PocketPlot\Build\Line;
use PocketPlot\Check\LineRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Phrase;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Sourcing\Costs;

final class Packets extends LineRule
{
    public static function meta(): Meta
    {
        return new Meta('money.packets', 'What comes in packets is bought in whole ones; what is left over is said.');
    }

    protected function lines(Facts $facts): iterable
    {
        return $facts->with('packetOf');
    }

    protected function ofLine(Line $line, Facts $facts): iterable
    {
        $of = $line->part->packetOf;
        $needed = $line->quantity - $line->owned;
        if ($of <= 1 || $needed <= 0 || $line->origin->isFree()) {
            return;
        }
        $packets = Costs::packets($line);
        $over = $packets * $of - $needed;
        $share = $over / ($packets * $of);
        $tight = $share > $facts->margin('packet-share');
        yield $this->answer($tight ? Verdict::Tight : Verdict::Fits, [$line], fn (): Words => new Words(sprintf(
            '%d × %s: %s of %d; %s left over.',
            $needed,
            $line->name(),
            Phrase::count($packets, 'packets'),
            $of,
            $over === 0 ? 'nothing is' : ($over === 1 ? 'one is' : "{$over} are"),
        ), [
            $this->count($line->owned === 0 ? 'Needed' : 'Needed, besides those in the drawer', $needed),
            $this->count('In a packet', $of, '', 'listing'),
            $this->count('Packets', $packets),
            $this->count('Left over', $over),
        ], self::n($share * 100).' % left over', [
            $this->swap($line, 'Take a smaller packet'),
            Remedy::byHand('Share a packet with another builder, or keep the rest for the next build.'),
        ]));
    }
}
