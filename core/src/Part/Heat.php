<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** What a part turns into heat, how hot it may get, and how well it gets rid of it. */
final readonly class Heat
{
    public function __construct(
        /** Idle, usual and heavy watts. */
        public Figure $watts,
        public Figure $limitC,
        /** Kelvin a watt above the air around it, left to itself. */
        public Figure $riseKPerW,
        /** The same with the cooling it can be given. */
        public Figure $riseFanKPerW,
        /** Measured in this body at the worst load, in an ordinary room. */
        public ?Figure $measuredC = null,
    ) {}
}
