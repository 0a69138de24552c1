<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;

/** One line fed by one rail, and why that rail. */
final readonly class Feed
{
    public function __construct(public Line $line, public string $railId, public bool $settled, public string $reason) {}
}
