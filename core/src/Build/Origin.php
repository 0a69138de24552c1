<?php

declare(strict_types=1);

namespace PocketPlot\Build;

/** Where a line's part comes from. */
enum Origin: string
{
    case Buy = 'buy';
    case Own = 'own';
    case Salvage = 'salvage';
    case Print = 'print';
    case Gift = 'gift';

    /** Costs nothing unless a price is written down; what is printed at home takes a little filament. */
    public function isFree(): bool
    {
        return $this !== self::Buy;
    }
}
