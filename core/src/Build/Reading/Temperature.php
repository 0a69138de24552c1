<?php

declare(strict_types=1);

namespace PocketPlot\Build\Reading;

use PocketPlot\Build\Reading;
use PocketPlot\Quantity\Number;

/** Degrees of a part at work and of the air around it, with what it drew meanwhile where that was read. */
final readonly class Temperature extends Reading
{
    public function __construct(TakenAs $taken, public float $celsius, public float $airC, public ?float $volts = null, public ?float $milliamps = null)
    {
        parent::__construct($taken);
    }

    public function kind(): ReadingKind
    {
        return ReadingKind::Temperature;
    }

    /** Null when its draw was not read. */
    public function watts(): ?float
    {
        return $this->volts === null || $this->milliamps === null ? null : $this->volts * $this->milliamps / 1000;
    }

    public function says(): string
    {
        $watts = $this->watts();

        return Number::says($this->celsius).' °C in air of '.Number::says($this->airC).' °C'.($watts === null ? '' : ' at '.Number::says($watts).' W');
    }

    public function ownFields(): array
    {
        return ['celsius' => $this->celsius, 'airC' => $this->airC, 'volts' => $this->volts, 'milliamps' => $this->milliamps];
    }
}
