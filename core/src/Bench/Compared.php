<?php

declare(strict_types=1);

namespace PocketPlot\Bench;

use PocketPlot\Build\Reading\Run as RunReading;
use PocketPlot\Power\Run;

/** A run test beside what was predicted for it, on the build as it stands now. */
final readonly class Compared
{
    /** @param  ?float  $predictedHours  null while a figure is missing */
    public function __construct(
        public RunReading $reading,
        public float $measuredHours,
        public ?float $predictedHours,
        public ?float $leastHours,
        public ?float $mostHours,
        public ?Run $run,
        public ?LogSums $log,
        /** Printed watt-hours of the pack it was made with. */
        public ?float $wattHours,
    ) {}

    /** Measured ÷ predicted; null where it cannot be said, or the run was broken off and says only "at least". */
    public function ratio(): ?float
    {
        return $this->predictedHours === null || $this->predictedHours <= 0.0 || ! $this->reading->stopped->isAnEnd()
            ? null
            : $this->measuredHours / $this->predictedHours;
    }

    /** Amp-hours that were predicted to come out of the terminals; null while nothing is predicted. */
    public function predictedAmpHours(): ?float
    {
        if ($this->run === null) {
            return null;
        }
        $rows = $this->run->rows;
        $sum = 0.0;
        for ($row = 1, $count = count($rows); $row < $count; $row++) {
            $sum += ($rows[$row]['amps'] + $rows[$row - 1]['amps']) / 2 * ($rows[$row]['h'] - $rows[$row - 1]['h']);
        }

        return $sum > 0.0 ? $sum : null;
    }

    /** Whether it lies where the figures allow. */
    public function isWithin(): ?bool
    {
        return $this->leastHours === null || $this->mostHours === null || ! $this->reading->stopped->isAnEnd() ? null
            : $this->measuredHours >= $this->leastHours && $this->measuredHours <= $this->mostHours;
    }

    public function says(): string
    {
        $ratio = $this->ratio();

        return match (true) {
            $this->predictedHours === null => 'Nothing can be predicted for it while figures are missing.',
            ! $this->reading->stopped->isAnEnd() => $this->measuredHours > $this->predictedHours
                ? 'It was broken off, and had already run longer than predicted.'
                : 'It was broken off: it only says that the pack lasts at least that long.',
            $ratio !== null && abs($ratio - 1.0) <= 0.1 => 'It agrees with the prediction to a tenth.',
            $this->isWithin() === true => 'It lies within what the figures allow.',
            default => sprintf('It ran %s than the figures allow.', $ratio !== null && $ratio > 1.0 ? 'longer' : 'shorter'),
        };
    }
}
