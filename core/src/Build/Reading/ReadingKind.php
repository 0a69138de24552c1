<?php

declare(strict_types=1);

namespace PocketPlot\Build\Reading;

enum ReadingKind: string
{
    case Sweep = 'sweep';
    case Draw = 'draw';
    case Run = 'run';
    case Charge = 'charge';
    case Temperature = 'temperature';
    case Dimension = 'dimension';
    case Volts = 'volts';

    /** @return array<string, string> fields without which a reading of the kind says nothing, and what to write */
    public function needs(): array
    {
        return match ($this) {
            self::Draw => [
                'state' => 'choose what the console was doing',
                'volts' => 'write the volts at the part while the amps were read',
                'milliamps' => 'write the amps that were read',
            ],
            self::Run => ['hours' => 'write how long it ran', 'stopped' => 'choose why it stopped'],
            self::Charge => ['hours' => 'write how long it took'],
            self::Temperature => ['celsius' => 'write the degrees of the part', 'airC' => 'write the degrees of the air around it'],
            self::Dimension => ['figure' => 'choose the side that was measured', 'value' => 'write the millimetres'],
            self::Volts => ['volts' => 'write the volts that were read'],
            self::Sweep => ['steps' => 'write at least one step: the volts, and lit or dark'],
        };
    }

    /** @return list<string> fields that belong to it */
    public function fields(): array
    {
        return match ($this) {
            self::Sweep => ['steps', 'signal'],
            self::Draw => ['state', 'volts', 'milliamps'],
            self::Run => ['profile', 'brightness', 'hours', 'stopped', 'airC', 'log', 'wattHours'],
            self::Charge => ['hours', 'fromShare', 'toShare', 'log', 'wattHours'],
            self::Temperature => ['celsius', 'airC', 'volts', 'milliamps'],
            self::Dimension => ['figure', 'value'],
            self::Volts => ['volts', 'at'],
        };
    }
}
