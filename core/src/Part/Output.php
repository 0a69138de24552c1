<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A rail that a part gives: a converter's output, a board's pin, a power bank's socket, a wall supply's plug. */
final readonly class Output
{
    /** @param  list<array{float, float}>  $efficiencyAt  share of the continuous current => efficiency, as points of a curve */
    public function __construct(
        public string $name,
        public Figure $volts,
        public Figure $continuousMa,
        public Figure $peakMa,
        public Figure $efficiency,
        public array $efficiencyAt,
        public Topology $topology,
        /** Volts that a buck or linear converter needs above its output. */
        public Figure $dropoutV,
        /** What the converter takes with nothing behind it. */
        public Figure $idleMa,
        /** Below this current the output switches itself off; nought for one that never does. */
        public Figure $switchOffMa,
        public YesNo $enable,
        /** Through a coil: no lead goes there. */
        public bool $wireless = false,
    ) {}

    /** The same output with other figures. */
    public function with(Figure $efficiency, Figure $dropoutV, Figure $continuousMa): self
    {
        return new self(
            $this->name, $this->volts, $continuousMa, $this->peakMa, $efficiency, $this->efficiencyAt, $this->topology, $dropoutV,
            $this->idleMa, $this->switchOffMa, $this->enable, $this->wireless,
        );
    }
}
