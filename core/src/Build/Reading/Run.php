<?php

declare(strict_types=1);

namespace PocketPlot\Build\Reading;

use PocketPlot\Build\Reading;
use PocketPlot\Quantity\Number;

/** Hours from full until it stopped. */
final readonly class Run extends Reading
{
    /**
     * @param  string  $profile  the way of playing, by name
     * @param  ?float  $wattHours  printed watt-hours of the pack it was made with; null when they were not known
     * @param  list<array{float, float, float}>  $log  seconds, volts, amps
     */
    public function __construct(
        TakenAs $taken,
        public float $hours,
        public Stopped $stopped,
        public string $profile = '',
        public ?float $brightness = null,
        public ?float $airC = null,
        public ?float $wattHours = null,
        public array $log = [],
    ) {
        parent::__construct($taken);
    }

    public function kind(): ReadingKind
    {
        return ReadingKind::Run;
    }

    public function says(): string
    {
        return sprintf('ran %s h%s, then: %s', Number::says($this->hours), $this->profile === '' ? '' : " as \"{$this->profile}\"", $this->stopped->value);
    }

    public function ownFields(): array
    {
        return [
            'profile' => $this->profile,
            'brightness' => $this->brightness,
            'hours' => $this->hours,
            'stopped' => $this->stopped->value,
            'airC' => $this->airC,
            'log' => $this->log,
            'wattHours' => $this->wattHours,
        ];
    }
}
