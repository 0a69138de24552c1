<?php

declare(strict_types=1);

namespace PocketPlot\File\Facets;

use PocketPlot\File\Facet;

final class PinNeedsFacet extends Facet
{
    public function label(): string
    {
        return 'Pins it takes';
    }

    public function fields(): array
    {
        return [
            'logicV' => ['V', 'logic level'],
            'wants' => ['counts', 'function and how many'],
        ];
    }
}
