<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A room inside a body with a depth of its own, such as a grip. */
final readonly class Zone
{
    public function __construct(public string $name, public Figure $lengthMm, public Figure $widthMm, public Figure $depthMm) {}
}
