<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;

/** A rule that holds one line against another. */
abstract class PairRule extends Rule
{
    /** @return iterable<array{Line, Line}> */
    abstract protected function pairs(Facts $facts): iterable;

    /** @return iterable<Finding> */
    abstract protected function ofPair(Line $one, Line $other, Facts $facts): iterable;

    final public function subjects(Facts $facts): iterable
    {
        foreach ($this->pairs($facts) as [$one, $other]) {
            yield Subject::pair($one, $other);
        }
    }

    final protected function findings(Subject $subject, Facts $facts): iterable
    {
        return $subject->line === null || $subject->other === null ? [] : $this->ofPair($subject->line, $subject->other, $facts);
    }
}
