<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class ImageFacet extends Facet
{
    public function label(): string
    {
        return 'Image on it';
    }

    public function fields(): array
    {
        return [
            'madeFor' => ['words', 'made for these generations of boards', []],
        ];
    }
}
