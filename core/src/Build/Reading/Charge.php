<?php

declare(strict_types=1);

namespace PocketPlot\Build\Reading;

use PocketPlot\Build\Reading;
use PocketPlot\Quantity\Number;

/** Hours that a charge took. */
final readonly class Charge extends Reading
{
    /**
     * @param  ?float  $fromShare  share of the charge it began with; empty when null
     * @param  ?float  $toShare  share it ended with; full when null
     * @param  ?float  $wattHours  printed watt-hours of the pack; null when they were not known
     * @param  list<array{float, float, float}>  $log  seconds, volts, amps
     */
    public function __construct(
        TakenAs $taken,
        public float $hours,
        public ?float $fromShare = null,
        public ?float $toShare = null,
        public ?float $wattHours = null,
        public array $log = [],
    ) {
        parent::__construct($taken);
    }

    public function kind(): ReadingKind
    {
        return ReadingKind::Charge;
    }

    public function says(): string
    {
        $percent = static fn (?float $share, string $word): string => $share === null ? '' : " {$word} ".Number::says($share * 100).' %';

        return 'charged in '.Number::says($this->hours).' h'.$percent($this->fromShare, 'from').$percent($this->toShare, 'to');
    }

    public function ownFields(): array
    {
        return ['hours' => $this->hours, 'fromShare' => $this->fromShare, 'toShare' => $this->toShare, 'log' => $this->log, 'wattHours' => $this->wattHours];
    }
}
