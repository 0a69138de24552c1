<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class GaugeFacet extends Facet
{
    public function label(): string
    {
        return 'Low-battery warning';
    }

    public function fields(): array
    {
        return [
            'atCharge' => ['share', 'warns at this charge'],
            'atV' => ['V', 'warns at'],
            'warningSeconds' => ['s', 'warning before the power goes'],
        ];
    }
}
