<?php

declare(strict_types=1);

namespace PocketPlot\Check;

use PocketPlot\Facts\Facts;

/** One thing an experienced builder would check. One file a rule; its id never changes. */
interface Rule
{
    public static function meta(): Meta;

    /** @return iterable<Finding> nothing when the rule does not apply to this build */
    public function check(Facts $facts): iterable;
}
