<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A sound amplifier: watts a channel into `atOhm`. */
final readonly class Amp
{
    public function __construct(public int $channels, public Figure $watts, public Figure $atOhm, public Figure $leastOhm) {}
}
