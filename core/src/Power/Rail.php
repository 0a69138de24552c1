<?php

declare(strict_types=1);

namespace PocketPlot\Power;

use PocketPlot\Build\Line;
use PocketPlot\Quantity\Figure;

/**
 * One voltage that a line gives: a pack's raw volts or an output. Watts are what its loads take
 * from it, idle, usual and heavy; converters below it are counted with their losses.
 */
final readonly class Rail extends Giver
{
    /**
     * @param  list<Line>  $loads
     * @param  list<Missing>  $missing  figures without which the watts are unknown
     */
    public function __construct(
        string $id,
        Line $line,
        string $name,
        bool $isRawPack,
        Figure $volts,
        public Figure $continuousMa,
        public Figure $peakMa,
        public array $loads,
        public Figure $watts,
        public Figure $peakWatts,
        public array $missing,
    ) {
        parent::__construct($id, $line, $name, $isRawPack, $volts);
    }

    /** Milliamps: idle and usual at the usual volts, heavy at the lowest, since a constant power draws most there. */
    public function currentMa(): Figure
    {
        if (! $this->watts->isKnown() || ! $this->volts->isKnown() || $this->volts->least() <= 0.0) {
            return Figure::unknown('mA');
        }
        $usual = $this->watts->usual() / $this->volts->usual() * 1000;

        return Figure::band(
            min($usual, $this->watts->least() / $this->volts->most() * 1000),
            $usual,
            max($usual, $this->watts->most() / $this->volts->least() * 1000),
            'mA',
            $this->watts->source->with($this->volts->source),
        );
    }

    /** Milliamps at the worst moment: every load's peak at once, at the lowest volts. */
    public function peakNeedMa(): ?float
    {
        return $this->peakWatts->isKnown() && $this->volts->isKnown() && $this->volts->least() > 0.0
            ? $this->peakWatts->most() / $this->volts->least() * 1000
            : null;
    }
}
