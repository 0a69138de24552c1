<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;
use PocketPlot\Part\FigureRef;

/** A figure that a computation would need and that nobody knows yet. Check\Measuring says how it is found out. */
final readonly class Missing
{
    public function __construct(public Line $line, public FigureRef $figure) {}
}
