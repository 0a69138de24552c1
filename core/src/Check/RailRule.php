<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Facts\Facts;
use PocketPlot\Power\Rail;

/** A rule that judges each rail on which something lives. */
abstract class RailRule extends Rule
{
    /** @return iterable<Finding> */
    abstract protected function ofRail(Rail $rail, Facts $facts): iterable;

    final public function subjects(Facts $facts): iterable
    {
        foreach ($facts->rails() as $rail) {
            if ($rail->loads !== []) {
                yield Subject::rail($rail);
            }
        }
    }

    final protected function findings(Subject $subject, Facts $facts): iterable
    {
        return $subject->rail === null ? [] : $this->ofRail($subject->rail, $facts);
    }
}
