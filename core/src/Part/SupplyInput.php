<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/**
 * What a part wants to be fed with.
 *
 * The window is least to most volts. The draw is idle, usual and heavy milliamps at `drawAtV`;
 * the peak is the short start-up or worst-moment current at the same voltage.
 */
final readonly class SupplyInput
{
    public function __construct(
        public Figure $volts,
        public Figure $drawMa,
        public Figure $drawAtV,
        public Figure $peakMa,
    ) {}

    /** Idle, usual and heavy watts; unknown when draw or voltage is. */
    public function watts(): Figure
    {
        return $this->drawAtV->isKnown() ? $this->drawMa->times($this->drawAtV->usual() / 1000, 'W') : Figure::unknown('W');
    }

    /** Watts at the peak, which is never less than the heavy draw. */
    public function peakWatts(): Figure
    {
        return $this->drawAtV->isKnown() && $this->peakMa->isKnown()
            ? Figure::exactly(max($this->peakMa->most(), $this->drawMa->most ?? 0.0) * $this->drawAtV->usual() / 1000, 'W', $this->peakMa->source)
            : Figure::unknown('W');
    }
}
