<?php

declare(strict_types=1);

namespace PocketPlot\Part;

use PocketPlot\Quantity\Figure;

/** A board that cuts a pack off when it is too empty, too full or shorted. */
final readonly class Protector
{
    /** @param  list<string>  $chemistries */
    public function __construct(
        public array $chemistries,
        public int $series,
        /** Volts of the whole row at which it cuts off. */
        public Figure $cutOffV,
        public Figure $mostMa,
        /** Recovery voltage: volts of the whole pack at which it switches on again by itself. */
        public Figure $recoveryV,
        /** Once tripped it stays off until a charger is plugged in. */
        public YesNo $latches,
    ) {}

    public function protects(Pack $pack): bool
    {
        return in_array($pack->chemistry, $this->chemistries, true) && $pack->series === $this->series;
    }
}
