<?php

declare(strict_types=1);

namespace PocketPlot\Part;

/** What a line is in the build for. */
enum Role: string
{
    case Board = 'board';
    case Display = 'display';
    case Controls = 'controls';
    case Case_ = 'case';
    case Cells = 'cells';
    case Charger = 'charger';
    case Regulator = 'regulator';
    case Sound = 'sound';
    case Storage = 'storage';
    case Cooling = 'cooling';
    case Switch_ = 'switch';
    case Cable = 'cable';
    case Fastener = 'fastener';
    case Material = 'material';
    case Tool = 'tool';

    public function says(): string
    {
        return match ($this) {
            self::Cable => 'cable or adapter',
            default => $this->value,
        };
    }
}
