<?php

declare(strict_types=1);

namespace PocketPlot\Assembly;

use PocketPlot\Facts\Facts;

/** One kind of step: what has to be done at the bench for parts of one kind. One file a kind, under Steps. */
interface StepSource
{
    /** @return iterable<Step> in the order of the lines; none when nothing of the kind has to be done */
    public function steps(Facts $facts): iterable;
}
