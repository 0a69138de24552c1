<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A fan, a heatsink, or both. */
final readonly class Cooling
{
    public function __construct(public bool $fan, /** Openings it wants, in and out together. */ public Figure $ventMm2) {}
}
