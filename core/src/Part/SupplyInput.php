<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/**
 * One way into a part for power.
 *
 * The window is least to most volts, `absoluteMaxV` what breaks it. The draw is idle, usual and heavy
 * milliamps at `drawAtV`; the peak is the worst short moment, start-up included unless that is
 * given apart; `offMa` what it still takes when switched off. Below `warnVolts` the part complains
 * (a low-voltage warning) though it still runs.
 */
final readonly class SupplyInput
{
    private Figure $watts;

    private Figure $peakWatts;

    public function __construct(
        public string $name,
        public Figure $volts,
        public Figure $absoluteMaxV,
        public Figure $drawMa,
        public Figure $drawAtV,
        public Figure $peakMa,
        public Figure $startUpMa,
        public Figure $offMa,
        public Figure $warnVolts,
        /** One of several ways in, of which a single one is used. */
        public bool $isAlternative,
        public DrawKind $drawKind = DrawKind::Power,
        /** The single voltage it is sold for, where nobody wrote a window; `volts` is then what is usual around it. */
        public ?float $nominalV = null,
        /** The volts it does its best at; below them it runs slower, dimmer or quieter. */
        public ?float $ratedV = null,
    ) {
        $this->watts = $drawAtV->isKnown() ? $drawMa->times($drawAtV->usual() / 1000, 'W')->restingOn($drawAtV) : Figure::unknown('W');
        $this->peakWatts = $drawAtV->isKnown() && $peakMa->isKnown()
            ? Figure::exactly(
                max($peakMa->most(), $drawMa->most ?? 0.0, $startUpMa->most ?? 0.0) * $drawAtV->usual() / 1000, 'W', $peakMa->source,
            )->restingOn($drawAtV)->restingOn($drawMa)
            : Figure::unknown('W');
    }

    /** Share of the one voltage it is sold for from which a part surely still runs. */
    private const NOMINAL_BEARS = 0.9;

    /** The volts below which it goes dark; null when nobody knows. */
    public function leastVolts(): ?float
    {
        return $this->nominalV === null ? $this->volts->least : $this->nominalV * self::NOMINAL_BEARS;
    }

    /** The same input with other figures. */
    public function with(Figure $volts, Figure $drawMa, Figure $drawAtV, Figure $peakMa): self
    {
        return new self(
            $this->name, $volts, $this->absoluteMaxV, $drawMa, $drawAtV, $peakMa, $this->startUpMa, $this->offMa, $this->warnVolts,
            $this->isAlternative, $this->drawKind, $this->nominalV, $this->ratedV,
        );
    }

    /** Idle, usual and heavy watts; unknown when draw or voltage is. */
    public function watts(): Figure
    {
        return $this->watts;
    }

    /** Watts at the peak, which is never less than the heavy draw or the start-up. */
    public function peakWatts(): Figure
    {
        return $this->peakWatts;
    }
}
