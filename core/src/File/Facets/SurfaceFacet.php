<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class SurfaceFacet extends Facet
{
    public function label(): string
    {
        return 'Surface';
    }

    public function fields(): array
    {
        return [
            'bare' => ['yes-no', 'bare contacts outside'],
        ];
    }
}
