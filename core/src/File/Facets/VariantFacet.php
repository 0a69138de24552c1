<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class VariantFacet extends Facet
{
    public function label(): string
    {
        return 'Variant';
    }

    public function fields(): array
    {
        return [
            'has' => ['texts', 'is'],
            'wants' => ['texts', 'was made for'],
        ];
    }
}
