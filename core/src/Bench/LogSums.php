<?php

declare(strict_types=1);

namespace PocketPlot\Bench;

/** What a log of seconds, volts and amps adds up to. */
final readonly class LogSums
{
    public function __construct(
        public float $hours,
        public float $milliampHours,
        public float $wattHours,
        public float $meanW,
        public float $firstV,
        public float $lastV,
    ) {}
}
