<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class SupplyFacet extends Facet
{
    public function label(): string
    {
        return 'Supply';
    }

    public function fields(): array
    {
        return [
            'name' => ['text', 'name of the input'],
            'volts' => ['V', 'supply window'],
            'absoluteMaxV' => ['V', 'absolute maximum'],
            'drawMa' => ['mA', 'draw, idle to heavy'],
            'drawAtV' => ['V', 'draw taken at'],
            'peakMa' => ['mA', 'peak'],
            'startUpMa' => ['mA', 'start-up'],
            'offMa' => ['mA', 'draw when off'],
            'ratedV' => ['V', 'rated at'],
            'warnVolts' => ['V', 'low-voltage warning at'],
            'drawKind' => ['choice', 'draw keeps', ['power', 'current', 'resistance']],
            'isAlternative' => ['flag', 'one of several ways in'],
        ];
    }
}
