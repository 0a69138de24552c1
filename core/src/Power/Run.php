<?php

declare(strict_types=1);

namespace PocketPlot\Power;

/** A discharge from beginning to end. */
final readonly class Run
{
    /**
     * @param  ?EndCause  $end  null when nothing is taken, so that it never ends
     * @param  list<array{h: float, charge: float, volts: float, heavyVolts: float, openCircuitVolts: float, amps: float, watts: float}>  $rows
     * @param  list<Moment>  $moments
     */
    public function __construct(
        public float $hours,
        public ?EndCause $end,
        public float $chargeLeft,
        public array $rows,
        public array $moments,
        public EnergyUsed $used,
        public Circuit $circuit,
    ) {}

    /** Watt-hours still in the packs. */
    public function leftWh(): float
    {
        return count($this->circuit->cells) === 1
            ? $this->circuit->cells[0]->wattHours(0.0, $this->chargeLeft)
            : array_sum(array_map(fn (PackModel $cells): float => $cells->wattHours(0.0, $this->chargeLeft), $this->circuit->cells));
    }
}
