<?php

declare(strict_types=1);

namespace PocketPlot\Build\Reading;

use PocketPlot\Build\Reading;
use PocketPlot\Quantity\Number;

/** Amps in one state, at the volts that the part had meanwhile. */
final readonly class Draw extends Reading
{
    public function __construct(TakenAs $taken, public MeteredState $state, public float $volts, public float $milliamps)
    {
        parent::__construct($taken);
    }

    public function kind(): ReadingKind
    {
        return ReadingKind::Draw;
    }

    public function watts(): float
    {
        return $this->volts * $this->milliamps / 1000;
    }

    public function says(): string
    {
        return sprintf(
            '%s: %s mA at %s V, %s W',
            $this->state->value,
            Number::says($this->milliamps),
            Number::says($this->volts),
            Number::says($this->watts()),
        );
    }

    public function ownFields(): array
    {
        return ['state' => $this->state->value, 'volts' => $this->volts, 'milliamps' => $this->milliamps];
    }
}
