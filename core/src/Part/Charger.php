<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** Fills a pack: for which chemistries, how many cells in series, with what current, from what input. */
final readonly class Charger
{
    /** @param  list<string>  $chemistries */
    public function __construct(
        public array $chemistries,
        public int $seriesLeast,
        public int $seriesMost,
        public Figure $inputVolts,
        public Figure $chargeMa,
        /** Feeds the loads past the pack while it charges. */
        public YesNo $powerPath,
        /** Charges through a coil instead of a lead. */
        public bool $wireless,
        /** "linear": burns what it does not pass on; "switching"; "" when nobody says. */
        public string $topology,
        /** Of a switching one: watts into the pack for watts taken. */
        public Figure $efficiency,
        /** What its inlet takes at most, play and charging together. */
        public Figure $inputMa,
    ) {}

    public function with(Figure $inputVolts): self
    {
        return new self(
            $this->chemistries, $this->seriesLeast, $this->seriesMost, $inputVolts, $this->chargeMa, $this->powerPath, $this->wireless,
            $this->topology, $this->efficiency, $this->inputMa,
        );
    }

    public function takes(Pack $pack): bool
    {
        return in_array($pack->chemistry, $this->chemistries, true)
            && $pack->series >= $this->seriesLeast && $pack->series <= $this->seriesMost;
    }
}
