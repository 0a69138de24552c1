<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** One of the two coils of charging without a lead: "receiver" in the console, "sender" in its stand. */
final readonly class Coil
{
    public function __construct(public string $side, public Figure $watts) {}
}
