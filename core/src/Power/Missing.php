<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;

/** A figure that a computation would need and that nobody knows yet. `figure` is a key of Check\Measuring. */
final readonly class Missing
{
    public function __construct(public Line $line, public string $figure) {}
}
