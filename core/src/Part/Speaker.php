<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

final readonly class Speaker
{
    public function __construct(public Figure $ohm, public Figure $watts) {}
}
