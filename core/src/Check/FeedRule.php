<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Facts\Facts;
use PocketPlot\Power\Feed;
use PocketPlot\Power\Giver;

/** A rule that judges each fed input with what gives it its volts. */
abstract class FeedRule extends Rule
{
    /** @return iterable<Finding> */
    abstract protected function ofFeed(Feed $feed, Giver $giver, Facts $facts): iterable;

    final public function subjects(Facts $facts): iterable
    {
        $rails = $facts->rails();
        foreach ($facts->feeds() as $feed) {
            yield Subject::feed($feed, $rails[$feed->railId]);
        }
    }

    final protected function findings(Subject $subject, Facts $facts): iterable
    {
        return $subject->feed === null || $subject->giver === null ? [] : $this->ofFeed($subject->feed, $subject->giver, $facts);
    }
}
