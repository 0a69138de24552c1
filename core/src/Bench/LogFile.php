<?php

declare(strict_types=1);

namespace PocketPlot\Bench;

/** What was read out of a meter's log. */
final readonly class LogFile
{
    /**
     * @param  int  $read  rows with something in them
     * @param  int  $taken  rows that count
     * @param  list<array{line: int, says: string}>  $troubles
     * @param  int  $notListed  further troubles
     * @param  list<string>  $understood  how the columns were taken
     * @param  list<array{float, float, float}>  $log  seconds, volts, amps; thinned for drawing
     */
    public function __construct(
        public int $read,
        public int $taken,
        public array $troubles,
        public int $notListed,
        public array $understood,
        public ?LogSums $sums,
        public array $log,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'read' => $this->read, 'taken' => $this->taken, 'troubles' => $this->troubles, 'notListed' => $this->notListed, 'understood' => $this->understood,
            'hours' => $this->sums === null ? null : round($this->sums->hours, 4),
            'milliampHours' => $this->sums === null ? null : round($this->sums->milliampHours, 2),
            'wattHours' => $this->sums === null ? null : round($this->sums->wattHours, 4),
            'meanW' => $this->sums === null ? null : round($this->sums->meanW, 4),
            'firstV' => $this->sums?->firstV, 'lastV' => $this->sums?->lastV,
            'log' => $this->log,
        ];
    }
}
