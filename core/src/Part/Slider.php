<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A cap of the body that moves a switch or a button beneath it. */
final readonly class Slider
{
    public function __construct(public string $name, public string $moves, public Figure $travelMm) {}
}
