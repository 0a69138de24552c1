<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A rail that a part gives: a converter's output, a board's pin, a power bank's socket, a wall supply's plug. */
final readonly class Output
{
    public function __construct(
        public string $name,
        public Figure $volts,
        public Figure $continuousMa,
        public Figure $peakMa,
        public Figure $efficiency,
    ) {}
}
