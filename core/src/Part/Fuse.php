<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** Breaks the circuit above its rating; near the pack it is what stands between a short and a fire. */
final readonly class Fuse
{
    public function __construct(public Figure $ratingMa) {}
}
