<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

final readonly class PowerSwitch
{
    public function __construct(
        public string $kind,
        public Figure $ratingMa,
        public Figure $ratingV,
        public Figure $travelMm,
        /** Switches the whole current; one that only pulls an enable pin carries next to nothing. */
        public bool $carriesPower,
        /** Paths that it switches at once, each with its own rating. */
        public int $poles = 1,
    ) {}
}
