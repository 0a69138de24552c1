<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

final readonly class Speaker
{
    public function __construct(
        public Figure $ohm,
        public Figure $watts,
        /** In one part. */
        public int $count = 1,
        /** A disc that pins drive without an amplifier. */
        public bool $piezo = false,
    ) {}
}
