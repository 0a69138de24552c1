<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** What decides whether a clamshell stands: two weights, where they lie, how far the lid leans, and the feet. */
final readonly class Stand
{
    public function __construct(
        public Figure $lidMassG,
        /** From the hinge up the lid. */
        public Figure $lidCentreMm,
        /** How far behind upright the lid stops, in degrees. */
        public Figure $stopsDeg,
        public Figure $baseMassG,
        /** In front of the hinge. */
        public Figure $baseCentreMm,
        /** The rear feet, in front of the hinge; below nought where they stand behind it. */
        public Figure $feetMm,
        public Figure $torqueNm,
    ) {}
}
