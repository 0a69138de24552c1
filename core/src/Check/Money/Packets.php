<?php

declare(strict_types=1);

namespace PocketPlot\Check\Money;

use PocketPlot\Check\Answers;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Rule;
use PocketPlot\Check\Verdict;
use PocketPlot\Facts\Facts;
use PocketPlot\Sourcing\Costs;

final class Packets implements Rule
{
    use Answers;

    public static function meta(): Meta
    {
        return new Meta('money.packets', 'What comes in packets is bought in whole ones; what is left over is said.', ['packetOf'], []);
    }

    public function check(Facts $facts): iterable
    {
        foreach ($facts->with('packetOf') as $line) {
            $of = $line->part->packetOf;
            if ($of <= 1 || $line->origin->isFree()) {
                continue;
            }
            $packets = Costs::packets($line);
            $over = $packets * $of - $line->quantity;
            $share = $over / ($packets * $of);
            $tight = $share > $facts->margin('packet-share');
            yield $this->answer($tight ? Verdict::Tight : Verdict::Fits, [$line], sprintf('%d of %s need %d packet%s of %d; %d are left over.', $line->quantity, $line->name(), $packets, $packets === 1 ? '' : 's', $of, $over), [
                $this->count('Needed', $line->quantity), $this->count('In a packet', $of, '', 'listing'), $this->count('Packets', $packets), $this->count('Left over', $over),
            ], self::n($share * 100).' % left over', [$this->swap($line, 'Take a smaller packet'), Remedy::byHand('Share a packet with another builder, or keep the rest for the next build.')]);
        }
    }
}
