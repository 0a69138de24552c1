<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class FuseFacet extends Facet
{
    public function label(): string
    {
        return 'Fuse';
    }

    public function fields(): array
    {
        return [
            'ratingMa' => ['mA', 'rating'],
        ];
    }
}
