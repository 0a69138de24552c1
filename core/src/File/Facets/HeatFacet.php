<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class HeatFacet extends Facet
{
    public function label(): string
    {
        return 'Heat';
    }

    public function fields(): array
    {
        return [
            'watts' => ['W', 'turned into heat'],
            'measuredC' => ['°C', 'measured in this body at the worst load'],
            'limitC' => ['°C', 'throttles or fails at'],
            'riseKPerW' => ['K/W', 'rise, still air'],
            'riseFanKPerW' => ['K/W', 'rise, with cooling'],
        ];
    }
}
