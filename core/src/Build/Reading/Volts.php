<?php

declare(strict_types=1);

namespace PocketPlot\Build\Reading;

use PocketPlot\Build\Reading;
use PocketPlot\Quantity\Number;

/** Volts at one place, as a gate asked for them. */
final readonly class Volts extends Reading
{
    /** @param  string  $at  which output of the part; "" for the part itself */
    public function __construct(TakenAs $taken, public float $volts, public string $at = '')
    {
        parent::__construct($taken);
    }

    public function kind(): ReadingKind
    {
        return ReadingKind::Volts;
    }

    public function says(): string
    {
        return Number::says($this->volts).' V'.($this->at === '' || $this->at === 'pack' ? '' : " at {$this->at}");
    }

    public function ownFields(): array
    {
        return ['volts' => $this->volts, 'at' => $this->at];
    }
}
