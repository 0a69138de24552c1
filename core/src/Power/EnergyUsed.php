<?php

declare(strict_types=1);

namespace PocketPlot\Power;

/** Watt-hours of a run: taken from the store, and where they went. */
final class EnergyUsed
{
    public float $storedWh = 0.0;

    public float $rateWh = 0.0;

    public float $insideWh = 0.0;

    public float $converterWh = 0.0;

    public float $leadWh = 0.0;

    public float $usedWh = 0.0;

    public function add(OperatingPoint $from, OperatingPoint $to, float $seconds): void
    {
        $hours = $seconds / 7200;
        $this->storedWh += ($from->stored + $to->stored) * $hours;
        $this->rateWh += ($from->lostToRate + $to->lostToRate) * $hours;
        $this->insideWh += ($from->lostInside + $to->lostInside) * $hours;
        $this->converterWh += ($from->lostInConverters + $to->lostInConverters) * $hours;
        $this->leadWh += ($from->lostInLeads + $to->lostInLeads) * $hours;
        $this->usedWh += ($from->used + $to->used) * $hours;
    }

    /** @return array{stored: float, used: float, converters: float, leads: float, inside: float, rate: float} watt-hours */
    public function toArray(): array
    {
        return array_map(static fn (float $wh): float => round($wh, 3), [
            'stored' => $this->storedWh,
            'used' => $this->usedWh,
            'converters' => $this->converterWh,
            'leads' => $this->leadWh,
            'inside' => $this->insideWh,
            'rate' => $this->rateWh,
        ]);
    }
}
