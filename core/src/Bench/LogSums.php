<?php

declare(strict_types=1);

namespace PocketPlot\Bench;

/** What a log of seconds, volts and amps adds up to. */
final readonly class LogSums
{
    private function __construct(
        public float $hours,
        public float $milliampHours,
        public float $wattHours,
        public float $meanW,
        public float $firstV,
        public float $lastV,
    ) {}

    /**
     * By trapezoids between the rows.
     *
     * @param  list<array{float, float, float}>  $log
     * @return ?self null with fewer than two rows
     */
    public static function of(array $log): ?self
    {
        $rows = count($log);
        if ($rows < 2) {
            return null;
        }
        $coulombs = $joules = 0.0;
        for ($row = 1; $row < $rows; $row++) {
            [$from, $volts, $amps] = $log[$row - 1];
            [$to, $nextVolts, $nextAmps] = $log[$row];
            $coulombs += ($amps + $nextAmps) / 2 * ($to - $from);
            $joules += ($volts * $amps + $nextVolts * $nextAmps) / 2 * ($to - $from);
        }
        $seconds = $log[$rows - 1][0] - $log[0][0];

        return $seconds <= 0.0 ? null : new self($seconds / 3600, $coulombs / 3.6, $joules / 3600, $joules / $seconds, $log[0][1], $log[$rows - 1][1]);
    }
}
