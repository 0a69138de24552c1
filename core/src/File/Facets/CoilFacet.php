<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class CoilFacet extends Facet
{
    public function label(): string
    {
        return 'Charging coil';
    }

    public function fields(): array
    {
        return [
            'side' => ['choice', 'side', ['receiver', 'sender']],
            'watts' => ['W', 'up to'],
        ];
    }
}
