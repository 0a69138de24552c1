<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Facts\Facts;

/** A rule that judges the build as a whole. */
abstract class WholeRule extends Rule
{
    /** @return iterable<Finding> */
    abstract protected function ofWhole(Facts $facts): iterable;

    final public function subjects(Facts $facts): iterable
    {
        yield Subject::whole();
    }

    final protected function findings(Subject $subject, Facts $facts): iterable
    {
        return $this->ofWhole($facts);
    }
}
