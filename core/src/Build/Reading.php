<?php

declare(strict_types=1);

namespace PocketPlot\Build;

use PocketPlot\Part\YesNo;
use PocketPlot\Quantity\Day;

/**
 * Something measured on the bench, kept with the build. What does not belong to its kind is null or empty.
 *
 * sweep: steps and signal. draw: state, volts, milliamps. run: profile, hours, stopped, log. charge: hours,
 * fromShare, toShare, log. temperature: celsius, airC, volts and milliamps taken meanwhile. dimension: figure and value.
 */
final readonly class Reading
{
    public const KINDS = ['sweep', 'draw', 'run', 'charge', 'temperature', 'dimension'];

    public const STATES = ['off', 'idle', 'usual', 'heavy', 'start-up'];

    /** Why a run ended. */
    public const STOPPED = ['went dark', 'picture went', 'restarted', 'warning', 'switched off by hand', 'shut itself down', 'still running'];

    /**
     * @param  list<array{volts: float, lit: bool, milliamps: ?float}>  $steps
     * @param  list<array{float, float, float}>  $log  seconds, volts, amps
     * @param  array<string, mixed>  $extra  keys of the file that this version does not know
     */
    public function __construct(
        public string $id,
        public string $kind,
        /** The line that was measured: the pack of a run or charge, the part of all else. */
        public string $line,
        public Day $takenOn,
        public string $instrument = '',
        public string $conditions = '',
        public string $note = '',
        /** Made by the stand-in, not by a real instrument. */
        public bool $simulated = false,
        public array $steps = [],
        /** Whether the panel had a picture signal during the sweep. */
        public YesNo $signal = YesNo::Unknown,
        public string $state = '',
        public ?float $volts = null,
        public ?float $milliamps = null,
        public string $profile = '',
        public ?float $brightness = null,
        public ?float $hours = null,
        public string $stopped = '',
        public ?float $fromShare = null,
        public ?float $toShare = null,
        public ?float $celsius = null,
        public ?float $airC = null,
        /** Of a dimension: "lengthMm", "widthMm" or "heightMm". */
        public string $figure = '',
        public ?float $value = null,
        public array $log = [],
        public string $photo = '',
        /** Name of the part that was measured: the line may hold another by now. */
        public string $part = '',
        /** Printed watt-hours of the pack that a run or charge was made with; null when they were not known. */
        public ?float $wattHours = null,
        public array $extra = [],
    ) {}

    /** Whether the line still holds the part that was measured: a reading of one that was swapped meanwhile says nothing about the new one. */
    public function isOf(Line $line): bool
    {
        return $this->part === '' || $this->part === $line->name();
    }

    /** Whether a run went on until something gave up, so that its length says something about the pack. */
    public function ranOut(): bool
    {
        return $this->kind === 'run' && ! in_array($this->stopped, ['switched off by hand', 'still running'], true);
    }
}
