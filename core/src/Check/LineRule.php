<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Build\Line;
use PocketPlot\Facts\Facts;

/** A rule that judges single lines. */
abstract class LineRule extends Rule
{
    /** @return iterable<Line> the lines it judges */
    abstract protected function lines(Facts $facts): iterable;

    /** @return iterable<Finding> */
    abstract protected function ofLine(Line $line, Facts $facts): iterable;

    final public function subjects(Facts $facts): iterable
    {
        foreach ($this->lines($facts) as $line) {
            yield Subject::line($line);
        }
    }

    final protected function findings(Subject $subject, Facts $facts): iterable
    {
        return $subject->line === null ? [] : $this->ofLine($subject->line, $facts);
    }
}
