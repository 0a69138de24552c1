<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** Tells the computer that the pack runs low, `warningSeconds` before the power goes. */
final readonly class Gauge
{
    public function __construct(
        public Figure $warningSeconds,
        /** Share of the charge left when it warns. */
        public Figure $atCharge,
        /** Volts of the pack at which it warns. */
        public Figure $atV,
    ) {}
}
