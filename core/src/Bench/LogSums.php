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

    /**
     * @param  list<array{float, float, float}>  $log  seconds, volts, amps, in the order of time
     * @return ?self null with fewer than two rows
     */
    public static function of(array $log): ?self
    {
        $tally = new LogTally(2);
        foreach ($log as [$seconds, $volts, $amps]) {
            $tally->add($seconds, $volts, $amps);
        }

        return $tally->sums();
    }
}
