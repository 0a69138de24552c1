<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class CoolingFacet extends Facet
{
    public function label(): string
    {
        return 'Cooling';
    }

    public function fields(): array
    {
        return [
            'fan' => ['flag', 'has a fan'],
            'ventMm2' => ['mm²', 'wants openings of'],
        ];
    }
}
