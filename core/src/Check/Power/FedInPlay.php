<?php

declare(strict_types=1);

namespace PocketPlot\Check\Power;

use PocketPlot\Check\FeedRule;
use PocketPlot\Check\Meta;
use PocketPlot\Check\Remedy;
use PocketPlot\Check\Verdict;
use PocketPlot\Check\Words;
use PocketPlot\Facts\Facts;
use PocketPlot\Part\Role;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Giver;

final class FedInPlay extends FeedRule
{
    public static function meta(): Meta
    {
        return new Meta('power.in-play', 'What plays is fed from the pack, not only while a supply is plugged in.');
    }

    protected function ofFeed(Feed $feed, Giver $giver, Facts $facts): iterable
    {
        if (! $facts->isFedByWallOnly($feed)) {
            return;
        }
        $line = $feed->line;
        yield $this->answer(Verdict::Clash, [$line, $giver->line], fn (): Words => new Words(
            "{$line->name()} is fed by {$giver->says()}, which is only there when plugged in: in play from the pack it stays dark.",
            [$this->row("{$line->name()} needs", $feed->input->volts), $this->row("{$giver->says()} gives", $giver->volts)],
            'plugged in only',
            [
                Remedy::byHand('Join it to the pack, or to a converter that lives from the pack.'),
                Remedy::add(Role::Regulator, 'Add a regulator between the pack and it'),
            ],
        ));
    }
}
